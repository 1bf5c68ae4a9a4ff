import { median } from '$lib/core/base/units';
import type { PaperLayout } from '$lib/core/documents/shop';
import { assign, type Assignment, type Context } from './assign';
import { type Column, columnFrom, sharedFirst } from './column';
import type { Field } from './fields';
import { agreement } from './scores';
import { SPLITS } from './splits';
import { isBlank, isDitto, stopNumberIn } from './values';

/** A row of a grid as the assignment reads it; `at` is its place among the grid’s records. */
export interface FittedRow {
  at: number;
  number: number | null;
  name: string;
  colour: string;
  stitches: number;
  metres: number | null;
}

/** A grid with its fields settled. */
export interface Fitted {
  rows: FittedRow[];
  /** Records that are no stops: totals, headings that came again, rows without a count. */
  left: number[];
  /** How well the columns explain a chart: evidence that speaks for it, rows apart. */
  score: number;
  /** Whether the paper says what its lengths are measured in. */
  unitSeen: boolean;
  evidence: Evidence;
  columns: FittedColumn[];
  /** Headings of the columns that hold anything, before any was taken apart. */
  headings: string[];
  cuts: Cut[];
}

/** A column as it was read. */
export interface FittedColumn {
  heading: string;
  field: Field | null;
  /** Its text in each row. */
  texts: string[];
}

/** How a grid is to be read: what was settled about papers laid out as this one, or is said now. */
export type Laid = Pick<PaperLayout, 'cuts' | 'fields'>;
type Cut = PaperLayout['cuts'][number];

/** What speaks for a chart of stitches at all. */
export interface Evidence {
  counting: boolean;
  colours: number;
  /** Codes that go with colours, in rows enough to tell. */
  codes: boolean;
  /** From −1 to 1: counts as large and as different as those of stops are, or hardly ever are. */
  size: number;
  work: number;
  /** Lengths in the ratio of the craft: 1 where their unit is said, less where it is guessed. */
  thread: number;
  named: boolean;
  total: boolean;
}

/** Rounds in which rows that turn out to be none are left out and the rest is weighed anew. */
const ROUNDS = 3;
const MOST_SPLITS = 5;

/**
 * Settles which column of a grid is what, from all that stands in it.
 *
 * @param headings one a column, empty where there is none
 * @param records cells of each record
 * @param laid what is settled about its columns
 * @returns undefined where nothing can be stitch counts
 *
 * @example
 * fitGrid(['', '', ''], [['1', 'placement', '120'], ['2', 'tack-down', '134']], context)?.rows.length // 2
 */
export function fitGrid(
  headings: readonly string[],
  records: readonly (readonly string[])[],
  context: Context,
  laid?: Laid
): Fitted | undefined {
  let kept = records.map((_, at) => at);
  let fitted: Fitted | undefined;
  for (let round = 0; round < ROUNDS; round++) {
    if (kept.length === 0) return fitted;
    const sets = split(
      headings.map((heading, column) => ({
        heading,
        texts: kept.map((at) => records[at]?.[column] ?? '')
      })),
      context,
      laid
    );
    if (!sets) return undefined;
    fitted = {
      ...read(sets, sets.assignment, kept, records.length),
      headings: sets.headings,
      cuts: sets.cuts
    };
    const rows = withoutSums(fitted.rows);
    const whole = rows.length === kept.length;
    const still = rows.map(({ at }) => at);
    fitted = { ...fitted, rows, left: records.map((_, at) => at).filter((at) => !still.includes(at)) };
    if (whole) return fitted;
    kept = still;
  }
  return fitted;
}

/**
 * How sure each column of a reading is, as what the best reading without it would explain less; from 0.
 *
 * @returns one a column; undefined for a column that holds no field
 */
export function marginsOf({ columns }: Pick<Fitted, 'columns'>, context: Context): (number | undefined)[] {
  const { columns: own } = weigh(columns, context);
  const said = new Map(columns.flatMap(({ field }, at) => (field ? [[at, field] as const] : [])));
  const best = assign(own, context)?.score ?? 0;
  return columns.map((_, column) => {
    const field = said.get(column);
    if (field === undefined) return undefined;
    const second = assign(own, context, { barred: { column, field } })?.score;
    return second === undefined ? best : Math.max(0, best - second);
  });
}

interface Texts {
  heading: string;
  texts: string[];
}

/** Rows by which it is decided how cells are taken apart: no chart needs more to show it. */
const SAMPLE = 60;

/** The columns, those taken apart that explain more so. */
function split(
  start: readonly Texts[],
  context: Context,
  laid: Laid | undefined
): (Weighed & { assignment: Assignment; headings: string[]; cuts: Cut[] }) | undefined {
  const filled = start.filter(({ texts }) => texts.some((text) => !isBlank(text)));
  const headings = filled.map(({ heading }) => heading);
  if (laid) {
    const own = laid.cuts.reduce<readonly Texts[] | undefined>(
      (sets, cut) => sets && cutAt(sets, cut),
      filled
    );
    const made = own && weigh(own, context, laid.fields);
    return made?.assignment && { ...made, assignment: made.assignment, headings, cuts: laid.cuts };
  }
  const sample = filled.map(({ heading, texts }) => ({ heading, texts: texts.slice(0, SAMPLE) }));
  const { cuts, weighed } = cutsOf(sample, context);
  if (!weighed.assignment) return undefined;
  let whole: readonly Texts[] | undefined = filled;
  for (const cut of cuts) whole = whole && cutAt(whole, cut);
  const { assignment, ...rest } =
    whole === undefined || (filled[0]?.texts.length ?? 0) <= SAMPLE ? weighed : weigh(whole, context);
  return assignment && { ...rest, assignment, headings, cuts };
}

type Weighed = { sets: readonly Texts[]; columns: Column[]; assignment: Assignment | undefined };

function weigh(own: readonly Texts[], context: Context, fields: Laid['fields'] = []): Weighed {
  const shared = own.filter(({ texts }) => sharedFirst(texts) !== undefined).length;
  const labelled = shared >= 2 && shared >= 0.6 * own.length;
  const columns = own.map((texts) => columnOnce(texts, labelled));
  const said = new Map(fields.map((field, at) => [at, field] as const));
  return { sets: own, columns, assignment: assign(columns, context, { said }) };
}

/** Columns that were looked at before: taking one apart leaves the others as they are. */
const LOOKED_AT = new WeakMap<readonly string[], Map<string, Column>>();

function columnOnce({ heading, texts }: Texts, labelled: boolean): Column {
  const known = LOOKED_AT.get(texts) ?? new Map<string, Column>();
  LOOKED_AT.set(texts, known);
  const key = `${labelled ? '+' : '-'}${heading}`;
  const column = known.get(key) ?? columnFrom(heading, texts, labelled);
  known.set(key, column);
  return column;
}

/** The ways of taking columns apart, one after the other, as long as each explains more. */
function cutsOf(start: readonly Texts[], context: Context): { cuts: Cut[]; weighed: Weighed } {
  let sets = start;
  let weighed = weigh(sets, context);
  const cuts: Cut[] = [];
  for (let round = 0; round < MOST_SPLITS; round++) {
    let better: { sets: Texts[]; weighed: Weighed; cut: Cut } | undefined;
    for (let at = 0; at < sets.length; at++) {
      // What is one figure or one code in every cell is not two values.
      const column = weighed.columns[at];
      const isOne = column && ((column.figured > 0.95 && column.worded < 0.1) || column.coded > 0.95);
      if (!column || isOne) continue;
      for (const way of SPLITS.keys()) {
        const own = cutAt(sets, { at, way });
        if (!own) continue;
        const made = weigh(own, context);
        const most = (better?.weighed ?? weighed).assignment?.score ?? -Infinity;
        if ((made.assignment?.score ?? -Infinity) > most + WORTH)
          better = { sets: own, weighed: made, cut: { at, way } };
      }
    }
    if (!better) break;
    ({ sets, weighed } = better);
    cuts.push(better.cut);
  }
  return { cuts, weighed };
}

/** What taking a column apart must explain more. */
const WORTH = 0.12;

function cutAt(sets: readonly Texts[], { at, way }: Cut): Texts[] | undefined {
  const column = sets[at];
  const parts = column && SPLITS.get(way)?.(column.texts);
  if (!column || !parts) return undefined;
  return [
    ...sets.slice(0, at),
    ...parts.map((texts) => ({ heading: parts.length > 2 ? '' : column.heading, texts })),
    ...sets.slice(at + 1)
  ];
}

function read(
  { columns, sets }: Pick<Weighed, 'columns' | 'sets'>,
  { columns: at, counts, lengths, score }: Assignment,
  kept: readonly number[],
  all: number
): Omit<Fitted, 'headings' | 'cuts'> {
  const text = (field: number | undefined, row: number): string => {
    const own = field === undefined ? '' : (columns[field]?.texts[row] ?? '');
    return isBlank(own) ? '' : own;
  };
  const colours = filledDown(
    kept.map((_, row) => text(at.colour, row)),
    kept.map((_, row) => text(at.code, row))
  );
  const rows = kept.flatMap((record, row): FittedRow[] => {
    const stitches = counts.values[row];
    const name = text(at.name, row);
    const colour = colours[row] ?? '';
    const number = at.number === undefined ? undefined : stopNumberIn(text(at.number, row));
    if (stitches === undefined || (name === '' && colour === '')) return [];
    return [
      { at: record, number: number ?? null, name, colour, stitches, metres: lengths?.metres[row] ?? null }
    ];
  });
  const numbered = rows.filter(({ number }) => number !== null).length;
  const column = (field: number | undefined): Column | undefined =>
    field === undefined ? undefined : columns[field];
  return {
    rows: numbered * 2 > rows.length ? rows.filter(({ number }) => number !== null) : rows,
    left: [],
    score:
      score *
      (rows.length / Math.max(1, all)) ** 0.25 *
      wholeness(rows, at.name !== undefined, at.colour !== undefined),
    unitSeen: lengths?.unitSeen ?? true,
    columns: sets.map(({ heading, texts }, column) => ({
      heading,
      texts,
      field: (Object.keys(at) as Field[]).find((field) => at[field] === column) ?? null
    })),
    evidence: {
      counting: (column(at.number)?.counting ?? 0) > 0.7,
      colours: ((column(at.colour)?.coloured ?? 0) + (column(at.colour)?.tinted ?? 0)) / 2,
      codes:
        at.code !== undefined && at.colour !== undefined && codesAgree(columns[at.code], columns[at.colour]),
      size: sizes(counts.values),
      work: column(at.name)?.working ?? 0,
      thread: (lengths?.score ?? 0) > 0.6 ? (lengths?.unitSeen ? 1 : 0.5) : 0,
      named: column(at.stitches)?.named === 'stitches' || counts.score > 1.15,
      total: counts.score > 1.5
    }
  };
}

/** From 0 to 1: rows that have what the others have. */
function wholeness(rows: readonly FittedRow[], named: boolean, coloured: boolean): number {
  const parts = rows.map(
    ({ name, colour }) => (named && name === '' ? 0.4 : 0.7) + (coloured && colour === '' ? 0.2 : 0.3)
  );
  return parts.reduce((sum, part) => sum + part, 0) / Math.max(1, parts.length);
}

function codesAgree(codes: Column | undefined, colours: Column | undefined): boolean {
  return (
    codes !== undefined && colours !== undefined && colours.differing < 0.8 && agreement(codes, colours) > 0.8
  );
}

/** 1 for figures as large and as different as the counts of stops are, −1 for such as those of a bill or of rows of knitting. */
function sizes(values: readonly (number | undefined)[]): number {
  const known = values.filter((value) => value !== undefined);
  const [least, most] = [Math.min(...known), Math.max(...known)];
  if (known.length >= 3 && median(known, 0) >= 80 && most > 6 * least) return 1;
  const alike = known.length >= 3 && most < 1.3 * least && most < 250;
  return median(known, 0) < 40 || alike ? -1 : 0;
}

/** Colours with their codes; a cell left empty, or with a mark for “the same”, takes both from the row above. */
function filledDown(colours: readonly string[], codes: readonly string[]): string[] {
  let last = '';
  const some = colours.filter((colour) => colour !== '').length;
  return colours.map((colour, row) => {
    const code = codes[row] ?? '';
    const same = isDitto(colour) || (colour === '' && code === '' && some * 4 > colours.length);
    if (!same) last = [colour, isDitto(code) ? '' : code].filter((each) => each !== '').join(' ');
    return last;
  });
}

/** Rows whose count is only the sum of those before them, whole or in part, and that have no number. */
function withoutSums(rows: readonly FittedRow[]): FittedRow[] {
  let [sum, part] = [0, 0];
  return rows.filter(({ number, stitches, name }, at) => {
    const isSum =
      at >= 2 &&
      number === null &&
      (stitches === sum || (stitches === part && part !== rows[at - 1]?.stitches));
    const says = /^\W*(?:sub-?)?(?:total|sum|in all|altogether)\b/i.test(name) && number === null;
    if (isSum || says) {
      part = 0;
      return false;
    }
    sum += stitches;
    part += stitches;
    return true;
  });
}
