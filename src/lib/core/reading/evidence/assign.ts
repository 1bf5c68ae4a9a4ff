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

/** A column that nothing explains speaks against a reading; one of words more than one of figures. */
const UNEXPLAINED = { words: 0.22, figures: 0.08 };
const NO_CODE = { at: -1, score: 0 };
/** Most columns that are tried for a field. */
const TRIED = 4;

/**
 * The joint assignment of fields to columns that explains them best. Every way is weighed, since the fields speak for each
 * other: thread for stitches, codes for colours.
 *
 * @returns undefined where no column can be stitches
 */
export function assign(columns: readonly Column[], context: Context): Assignment | undefined {
  const indices = columns.map((_, at) => at);
  const best = (score: (column: Column) => number): number[] =>
    indices
      .map((at) => ({ at, score: score(columns[at] as Column) }))
      .filter((each) => each.score > 0)
      .sort((a, b) => b.score - a.score)
      .slice(0, TRIED)
      .map(({ at }) => at);
  const numbers = columns.map(numberScore);
  const colours = columns.map(colourScore);
  const labels = columns.map(labelScore);
  const counts = columns.map((column) => countFit(column, context.stated));
  const byNumber = [...best((column) => numbers[columns.indexOf(column)] ?? 0), -1];
  const byColour = [...best((column) => colours[columns.indexOf(column)] ?? 0), -1];
  const byLabel = [...best((column) => labels[columns.indexOf(column)] ?? 0), -1];
  const codes = codesBeside(
    columns,
    byColour.filter((at) => at >= 0)
  );
  const open = columns.map(unexplained);
  const openSum = open.reduce((sum, each) => sum + each, 0);

  let most: Assignment | undefined;
  indices.forEach((stitches) => {
    const count = counts[stitches];
    if (!count || count.score <= 0) return;
    const lengths = columns.map((column, at) =>
      at === stitches ? undefined : lengthFit(column, count, context.unit)
    );
    const byThread = [...indices.filter((at) => (lengths[at]?.score ?? -1) > 0), -1];
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
  colours: readonly number[]
): Map<number, { at: number; score: number }[]> {
  const coded = columns.flatMap((column, at) => (column.coded >= 0.7 ? [at] : []));
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
