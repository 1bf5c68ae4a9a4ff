import type { Column } from './column';
import type { Field } from './fields';
import {
  codeScore,
  colourScore,
  type CountFit,
  countFit,
  labelScore,
  type LengthFit,
  lengthFit,
  numberScore
} from './scores';

/** What the paper says apart from the grid. */
export interface Context {
  /** Whole figures that stand outside the grid. */
  stated: ReadonlySet<number>;
  /** Unit that it names for all its lengths of thread. */
  unit: string | undefined;
}

/** Which column holds which field, and how well that explains them all. */
export interface Assignment {
  columns: Partial<Record<Field, number>>;
  counts: CountFit;
  lengths: LengthFit | undefined;
  score: number;
}

/** What is settled beforehand about columns, by their place. */
export interface Settled {
  /** What the maker says of columns: the field each holds, or null where it is none. */
  said?: ReadonlyMap<number, Field | null>;
  /** A column that shall not hold a field, to see what else could. */
  barred?: { column: number; field: Field };
}

/** A column that nothing explains speaks against a reading; one of words more than one of figures. */
const UNEXPLAINED = { words: 0.22, figures: 0.08 };
const NO_CODE = { at: -1, score: 0 };
/** A column that only the maker’s word makes a field counts no less than this. */
const LEAST = -1;
/** Most columns that are tried for a field. */
const TRIED = 4;

/**
 * The joint assignment of fields to columns that explains them best. Every way is weighed, since the fields speak for each
 * other: thread for stitches, codes for colours.
 *
 * @returns undefined where no column can be stitches
 */
export function assign(
  columns: readonly Column[],
  context: Context,
  settled: Settled = {}
): Assignment | undefined {
  const indices = columns.map((_, at) => at);
  const saidOf = new Map([...(settled.said ?? [])].flatMap(([at, field]) => (field ? [[field, at]] : [])));
  const { barred } = settled;
  const may = (at: number, field: Field): boolean => {
    if (barred?.column === at && barred.field === field) return false;
    const said = settled.said?.get(at);
    return said === undefined ? !saidOf.has(field) : said === field;
  };
  /** Columns that may hold a field, the likeliest first, and none at the end; what the maker says stands alone. */
  const tried = (field: Field, scores: readonly number[]): number[] => {
    const said = saidOf.get(field);
    if (said !== undefined) return said < columns.length ? [said] : [-1];
    const likely = indices.filter((at) => (scores[at] ?? 0) > 0 && may(at, field));
    return [...likely.sort((a, b) => (scores[b] ?? 0) - (scores[a] ?? 0)).slice(0, TRIED), -1];
  };
  const bounded = (scores: number[]): number[] => scores.map((score) => Math.max(score, LEAST));
  const numbers = bounded(columns.map(numberScore));
  const colours = bounded(columns.map(colourScore));
  const labels = bounded(columns.map(labelScore));
  const counts = columns.map((column) => countFit(column, context.stated));
  const byNumber = tried('number', numbers);
  const byColour = tried('colour', colours);
  const byLabel = tried('name', labels);
  const codes = codesBeside(
    columns,
    byColour.filter((at) => at >= 0),
    (at) => may(at, 'code'),
    saidOf.get('code')
  );
  const open = columns.map(unexplained);
  const openSum = open.reduce((sum, each) => sum + each, 0);

  let most: Assignment | undefined;
  indices.forEach((stitches) => {
    const count = counts[stitches];
    if (!count || !may(stitches, 'stitches') || (count.score <= 0 && !saidOf.has('stitches'))) return;
    const lengths = columns.map((column, at) =>
      at === stitches ? undefined : lengthFit(column, count, context.unit)
    );
    const byThread = tried(
      'thread',
      lengths.map((length) => length?.score ?? -1)
    );
    for (const number of byNumber) {
      if (number === stitches) continue;
      for (const thread of byThread) {
        if (thread >= 0 && (thread === number || thread === stitches)) continue;
        const figures = [stitches, number, thread].filter((at) => at >= 0);
        const base = count.score + (numbers[number] ?? 0) + (lengths[thread]?.score ?? 0);
        for (const colour of byColour) {
          if (figures.includes(colour)) continue;
          for (const label of byLabel) {
            if (label >= 0 && (label === colour || figures.includes(label))) continue;
            if (label < 0 && colour < 0) continue;
            const code =
              codes.get(colour)?.find(({ at }) => at !== label && !figures.includes(at)) ?? NO_CODE;
            const used = [...figures, colour, label, code.at].filter((at) => at >= 0);
            const rest = openSum - used.reduce((sum, at) => sum + (open[at] ?? 0), 0);
            const score = base + (colours[colour] ?? 0) + (labels[label] ?? 0) + code.score - rest;
            if (most && score <= most.score) continue;
            most = {
              columns: {
                stitches,
                ...(number >= 0 && { number }),
                ...(thread >= 0 && { thread }),
                ...(colour >= 0 && { colour }),
                ...(label >= 0 && { name: label }),
                ...(code.at >= 0 && { code: code.at })
              },
              counts: count,
              lengths: lengths[thread],
              score
            };
          }
        }
      }
    }
  });
  return most;
}

/** How well each column that may be codes goes with each that may be colours, the best first. */
function codesBeside(
  columns: readonly Column[],
  colours: readonly number[],
  may: (at: number) => boolean,
  said: number | undefined
): Map<number, { at: number; score: number }[]> {
  if (said !== undefined) return new Map(colours.map((colour) => [colour, [{ at: said, score: 0.1 }]]));
  const coded = columns.flatMap((column, at) => (column.coded >= 0.7 && may(at) ? [at] : []));
  return new Map(
    colours.map((colour) => [
      colour,
      coded
        .filter((at) => at !== colour)
        .map((at) => ({ at, score: codeScore(columns[at] as Column, columns[colour]) }))
        .filter(({ score }) => score > 0)
        .sort((a, b) => b.score - a.score)
    ])
  );
}

/** What a column costs that no field explains; one that is nearly empty costs next to nothing. */
function unexplained({ blank, worded, counting }: Column): number {
  const kind = worded > 0.5 ? UNEXPLAINED.words : counting > 0.8 ? 0.3 : UNEXPLAINED.figures;
  return kind * (1 - blank);
}
