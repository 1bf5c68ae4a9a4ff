import { metresPer } from '$lib/core/base/units';
import { isSameLayout, type PaperLayout } from '$lib/core/documents/shop';
import {
  colourOf,
  type Context,
  fitGrid,
  type Fitted,
  isColourName,
  marginsOf
} from '$lib/core/reading/evidence';
import {
  cardsOf,
  type Grid,
  raggedOf,
  sentencesOf,
  tablesOf,
  turnedTablesOf,
  unfoldedLines
} from '$lib/core/reading/grids';
import type { PaperLine } from '$lib/core/reading/pages';
import { verbOf } from '$lib/core/reading/sheets';
import { isSummary } from './facts';

/** How papers laid out in one way are read. */
export type KnownLayout = Pick<PaperLayout, 'structure' | 'headings' | 'cuts' | 'fields'>;

/** A reading of a paper: a structure, the fields it was given, and how much it explains. */
export interface Candidate {
  lines: readonly PaperLine[];
  grid: Grid;
  fitted: Fitted;
  context: Context;
  /** The settled layout it was read by, if one was. */
  known?: KnownLayout;
  value: number;
}

/** A reading by a layout that the maker settled outweighs what columns alone tell. */
const SETTLED = 4;
/** What must speak for a chart of stitches before anything is read as one. */
const ENOUGH = 0.75;
/** A few lines with nothing beside them are what the maker typed: less must speak for them. */
const FEW = 3;
const ENOUGH_FOR_FEW = 0.3;

/**
 * The reading that explains most of a paper, of all structures its words may have.
 *
 * @param views the paper’s lines, once for each way in which its cells may be told apart
 * @param known layouts that are settled; a paper laid out as one of them is read by it
 * @returns undefined where nothing speaks enough for a chart
 */
export function bestCandidate(
  views: readonly (readonly PaperLine[])[],
  known: readonly KnownLayout[] = []
): Candidate | undefined {
  let best: Candidate | undefined;
  for (const kind of candidates(views, known)) {
    for (const each of kind) if (!best || each.value > best.value) best = each;
    if (best && known.length === 0 && isPlain(best)) break;
  }
  return best;
}

/**
 * How sure each column of a reading is, from 0: what the best reading with another field in it would explain less.
 *
 * @returns one a column; undefined where a column holds no field
 */
export function sureness({ fitted, context }: Candidate): (number | undefined)[] {
  return marginsOf(fitted, context);
}

/** Whether a reading leaves nothing to look for: nearly every line with figures is a row, and all of it fits together. */
function isPlain({ grid, lines, fitted }: Candidate): boolean {
  const { rows, score, evidence } = fitted;
  const fits = evidence.counting && evidence.thread === 1 && (evidence.codes || evidence.colours > 0.4);
  return rows.length >= 4 && score > 5.5 && fits && explained(grid, fitted, lines) > 0.8;
}

/** How far a structure is to be trusted: what white and places show tells more than the order of words. */
const TRUST = { table: 1, cards: 1, turned: 0.97, sentences: 0.93, ragged: 0.88 } as const;

/** Every reading that speaks for a chart, by kind of structure, the likeliest kinds first. */
function* candidates(
  views: readonly (readonly PaperLine[])[],
  known: readonly KnownLayout[]
): Generator<Candidate[]> {
  // Marks between cells say more than white does.
  const marked = views.map((lines, view) => ({ lines, own: view > 0 ? 1.06 : 1 })).reverse();
  for (const { lines: all, own } of marked) {
    const context = contextOf(all);
    const lines = all.filter(
      ({ text, tokens }) => !isSummary(text) && !isOrder(text) && !tokens.some(isEndless)
    );
    const seen = new Set<string>();
    for (const kind of STRUCTURES) {
      const grids = kind(lines).filter((grid) => {
        const key = `${grid.headings.join('\t')}\n${grid.records.map(({ cells }) => cells.join('\t')).join('\n')}`;
        return !seen.has(key) && seen.add(key) && mayCount(grid);
      });
      yield grids.flatMap((grid): Candidate[] => {
        const cells = grid.records.map((record) => record.cells);
        const fitted = fitGrid(grid.headings, cells, context);
        if (!fitted) return [];
        const plain = TRUST[grid.layout] * (grid.plain ?? 1) * own;
        const worth = (each: Fitted): number =>
          each.rows.length * each.score * plain * explained(grid, each, lines);
        const settled = known.flatMap((layout): Candidate[] => {
          if (!isSameLayout(layout, { structure: grid.layout, headings: fitted.headings })) return [];
          const so = fitGrid(grid.headings, cells, context, layout);
          if (!so || so.rows.length === 0) return [];
          return [
            {
              lines,
              grid,
              fitted: so,
              context,
              known: layout,
              value: SETTLED * Math.max(worth(so), worth(fitted))
            }
          ];
        });
        if (fitted.rows.length === 0 || fitted.score <= 0) return settled;
        const few = fitted.rows.length <= FEW && fitted.rows.length >= 0.8 * lines.length;
        if (strength(fitted) < (few ? ENOUGH_FOR_FEW : ENOUGH)) return settled;
        return [...settled, { lines, grid, fitted, context, value: worth(fitted) }];
      });
    }
  }
}

/** A word as long as this is no word. */
const ENDLESS = 200;
const isEndless = ({ text }: { text: string }): boolean => text.length > ENDLESS && !/\s/.test(text);

/** Whether a line only says what hands do, or what to cut: no figure in it can be a count of stitches. */
function isOrder(text: string): boolean {
  const bare = text.replace(/\s+/g, ' ').replace(/^\W*(?:step\s*)?\d{1,2}\s*[.):–-]?\s+/i, '');
  const cut = bare.replace(
    /\d[\d.,/ ]*\s*(?:mm|cm|in\b|["″”])?\s*[x×]\s*\d[\d.,/ ]*\s*(?:mm|cm|in\b|["″”])/gi,
    ''
  );
  const counts = cut.replace(/\d[\d.,]*\s*(?:mm|cm|in\b|inch|["″”]|min|h\b|%)/gi, '');
  if (/\d{2}/.test(counts)) return false;
  return cut !== bare || (verbOf(bare) !== undefined && /[.!]\W*$/.test(bare));
}

/** Share of the lines with figures that a reading makes rows of. */
function explained(grid: Grid, { rows }: Fitted, lines: readonly PaperLine[]): number {
  const taken = new Set(rows.flatMap(({ at }) => grid.records[at]?.parts.map(({ line }) => line) ?? []));
  const figured = lines.filter(({ text }) => /\d/.test(text));
  return figured.filter(({ line }) => taken.has(line)).length / Math.max(1, figured.length);
}

/** The kinds of structure a paper may have. */
const STRUCTURES: ((lines: readonly PaperLine[]) => Grid[])[] = [
  (lines) =>
    [...tablesOf(lines), ...unfoldedLines(lines).flatMap(tablesOf)].flatMap((grid) => [
      grid,
      ...underColours(grid, lines)
    ]),
  cardsOf,
  turnedTablesOf,
  sentencesOf,
  (lines) => raggedOf(lines, isColourName)
];

/** Whether half of the records hold a figure and words: less can be no chart. */
function mayCount({ records }: Grid): boolean {
  const likely = records.filter(({ cells }) => {
    const text = cells.join(' ');
    return /\d/.test(text) && /\p{L}{2}/u.test(text);
  });
  return likely.length * 2 >= records.length;
}

/** Rows that stand under their colours: lines between them that say a colour and nothing else become a column. */
function underColours(grid: Grid, lines: readonly PaperLine[]): Grid[] {
  const rows = new Set(grid.records.flatMap(({ parts }) => parts.map(({ line }) => line)));
  let colour = '';
  const above = new Map<number, string>();
  let heads = 0;
  for (const { line, text, tokens } of lines) {
    if (rows.has(line)) above.set(line, colour);
    else if (tokens.length <= 5 && colourOf(text.replace(/\d\S*/g, '')) !== undefined) {
      colour = text.trim();
      heads++;
    }
  }
  const cells = grid.records.map(({ parts }) => above.get(parts[0]?.line ?? 0) ?? '');
  if (heads < 2 || cells.includes('') || new Set(cells).size < 2) return [];
  return [
    {
      ...grid,
      headings: [...grid.headings, ''],
      records: grid.records.map((record, at) => ({ ...record, cells: [...record.cells, cells[at] ?? ''] }))
    }
  ];
}

/** From 0: how much speaks for stitches and thread, and not for a bill, a list of parts, or rows of knitting. */
function strength({ evidence, rows }: Fitted): number {
  const { counting, colours, codes, size, work, thread, named, total } = evidence;
  return (
    (counting ? 0.2 : 0) +
    0.55 * Math.min(1, colours * 1.4) +
    (codes ? 0.35 : 0) +
    (size > 0 ? 0.2 : 0.45 * size) +
    0.55 * Math.min(1, work * 1.6) +
    0.5 * thread +
    (named ? 0.35 : 0) +
    (total ? 0.4 : 0) -
    (rows.length < 2 ? 0.15 : 0)
  );
}

/** What the paper says beside its rows: every whole figure, and the unit it names for thread. */
function contextOf(lines: readonly PaperLine[]): Context {
  const stated = new Set<number>();
  let unit: string | undefined;
  for (const { text } of lines) {
    for (const [digits] of text.matchAll(/\d{1,3}(?:[.,'’ \u00a0\u2009\u202f]\d{3})+(?!\d)|\d+/g))
      stated.add(Number(digits.replace(/\D/g, '')));
    const said = /\b(?:lengths?|thread)\b[^.]{0,40}?\b(?:in|are)\s+(\p{L}{1,12})\b/iu.exec(text)?.[1];
    if (unit === undefined && said !== undefined && metresPer(said) !== undefined) unit = said;
  }
  return { stated, unit };
}
