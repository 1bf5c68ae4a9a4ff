import type { AnyConstruction } from '$lib/core/craft/constructions';
import type { ExpectedStop, Pattern } from '$lib/core/craft/sequence';
import type { ReadRow } from '$lib/core/reading/papers';
import { align } from './align';

/** Answers changed one after another at most. */
const ROUNDS = 3;

/** A row that says so plainly what it does is that, mostly. */
const PLAIN = 0.8;

const isOfRole = ({ role }: ReadRow, stop: ExpectedStop): boolean =>
  role === stop.role || stop.alsoRoles.includes(role) || stop.asCharted.includes(role);

/** Rows that suit no stop or do something else than theirs, and needed stops that no row stands for; and how well the rest goes together. */
interface Fit {
  off: number;
  score: number;
}

function fitOf(rows: readonly ReadRow[], { expected }: Pattern): Fit {
  const { matches, missing, score } = align([...rows], expected);
  const optional = new Set(expected.flatMap(({ key, optional: may }) => (may ? [key] : [])));
  const extra = matches.filter(({ keys }) => keys.length === 0).length;
  const otherwise = rows.filter((row, at) => {
    const targets = expected.filter(({ key }) => matches[at]?.keys.includes(key));
    return row.confidence >= PLAIN && targets.length > 0 && !targets.some((stop) => isOfRole(row, stop));
  }).length;
  return { off: extra + otherwise + missing.filter((key) => !optional.has(key)).length, score };
}

/**
 * Answers of a construction that a chart gives: of what has few answers (how many, which way) those with which its rows and
 * the stops go together, where they do not with the usual ones. A chart of one patch is not one of two.
 *
 * @param usual the answers without the chart
 * @returns the answers that differ; none where the usual ones fit, or no others fit better
 *
 * @example
 * answersFor(batchPatch, rowsOfOnePatch, batchPatch.defaults) // { copies: 1 }
 */
export function answersFor(
  { questions, patternOf }: Pick<AnyConstruction, 'questions' | 'patternOf'>,
  rows: readonly ReadRow[],
  usual: Readonly<Record<string, unknown>>
): Record<string, unknown> {
  const fitWith = (answers: Record<string, unknown>): Fit | null => {
    const made = patternOf({ ...usual, ...answers });
    return made.ok ? fitOf(rows, made.pattern) : null;
  };
  let [changed, best] = [{} as Record<string, unknown>, fitWith({})];
  for (let round = 0; round < ROUNDS && best && best.off > 0; round++) {
    const { off } = best;
    const others = questions.flatMap((question) =>
      valuesOf(question).flatMap((value) => {
        const answers = { ...changed, [question.key]: value };
        const fit = fitWith(answers);
        // Only what the chart really says: fewer rows and stops that find nothing.
        return fit && fit.off < off ? [{ answers, fit }] : [];
      })
    );
    const [next] = others.sort((a, b) => a.fit.off - b.fit.off || b.fit.score - a.fit.score);
    if (!next) break;
    [changed, best] = [next.answers, next.fit];
  }
  return changed;
}

/** How many at most are tried of what is counted. */
const MOST = 6;

function valuesOf(question: AnyConstruction['questions'][number]): unknown[] {
  if (question.kind === 'choice') return question.options.map(({ value }) => value);
  return question.kind === 'number' ? Array.from({ length: MOST }, (_, at) => at + 1) : [];
}
