import type { PaperField } from '$lib/core/documents/shop';
import { type PaperLine, type Place, placeOf, type Token } from '$lib/core/reading/pages';
import { type Candidate, type KnownLayout, sureness } from './candidates';

/** A column of the paper as it was read, to be asked about as a whole. */
export interface ReadColumn {
  heading: string;
  /** What it holds; null where it is left out. */
  field: PaperField | null;
  /** Some of what stands in it. */
  samples: string[];
  /** Where its cells stand on the paper, as far as they can be told. */
  places: Place[];
  /** What the best reading without it would explain less; undefined where it holds no field. */
  margin: number | undefined;
}

/** Which layout a chart was read by, and whether the maker settled it before. */
export interface ReadLayout extends KnownLayout {
  settled: boolean;
}

/** Below this margin another reading is nearly as likely, and the maker is asked. */
const UNSURE = 0.5;
const SAMPLES = 4;

/** The columns of a reading, and the layout that would read such a paper again. */
export function columnsOf(candidate: Candidate): { columns: ReadColumn[]; layout: ReadLayout } {
  const { grid, fitted, known } = candidate;
  const margins = known ? fitted.columns.map(() => undefined) : sureness(candidate);
  const kept = fitted.rows.map(({ at }) => at);
  const lines = kept.map((at) => grid.records[at]?.parts ?? []);
  return {
    columns: fitted.columns.map(({ heading, field, texts }, at) => {
      const filled = texts.filter((text) => text.trim() !== '');
      return {
        heading,
        field,
        samples: [...new Set(filled)].slice(0, SAMPLES),
        places: lines.flatMap((parts, row) => cellPlace(parts, texts[row] ?? '') ?? []),
        margin: margins[at]
      };
    }),
    layout: {
      structure: grid.layout,
      headings: fitted.headings.map((heading) => heading.slice(0, 120)),
      cuts: fitted.cuts,
      fields: fitted.columns.map(({ field }) => field),
      settled: known !== undefined
    }
  };
}

/**
 * The column that is least sure, where one is unsure enough to ask about.
 *
 * @returns its place among the columns
 */
export function columnToAsk(columns: readonly ReadColumn[]): number | undefined {
  let asked: number | undefined;
  columns.forEach(({ margin }, at) => {
    if (margin === undefined || margin >= UNSURE) return;
    if (asked === undefined || margin < (columns[asked]?.margin ?? Infinity)) asked = at;
  });
  return asked;
}

/**
 * A layout with one column said anew: what held that field before holds none, the rest is weighed again.
 *
 * @param at place of the column
 * @param field what it holds, or null for none
 *
 * @example
 * saidOf(layout, columns, 2, 'name').fields[2] // 'name'
 */
export function layoutSaying(
  { structure, headings, cuts, fields }: KnownLayout,
  at: number,
  field: PaperField | null
): KnownLayout {
  return {
    structure,
    headings,
    cuts,
    fields: fields.map((own, column) => {
      if (column === at) return field;
      return own === field ? null : own;
    })
  };
}

/** The box of the words that make a cell up, where they stand one after the other. */
function cellPlace(parts: readonly PaperLine[], text: string): Place | undefined {
  const wanted = text.replace(/\s+/g, '');
  if (wanted === '') return undefined;
  for (const part of parts) {
    for (let from = 0; from < part.tokens.length; from++) {
      const run: Token[] = [];
      let made = '';
      for (const token of part.tokens.slice(from)) {
        run.push(token);
        made += token.text.replace(/\s+/g, '');
        if (made.length >= wanted.length || !wanted.startsWith(made)) break;
      }
      // A cell that wraps goes on in the next line: its first line shows where it is.
      if (
        made !== '' &&
        (made === wanted ||
          (wanted.startsWith(made) && made.length >= 3 && from + run.length === part.tokens.length))
      )
        return placeOf([{ ...part, tokens: run }]);
    }
  }
  return undefined;
}
