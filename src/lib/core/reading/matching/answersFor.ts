import type { AnyConstruction } from '$lib/core/craft/constructions';
import type { ReadRow } from '$lib/core/reading/papers';
import { against, COUNTS, weighed } from './against';
import { fewAnswers } from './builtLike';

/** Answers changed one after another at most. */
const ROUNDS = 3;

/** Only what the chart really says: so much less must speak against other answers. */
const LESS = 0.6;

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
  const costWith = (answers: Record<string, unknown>): number => {
    const made = patternOf({ ...usual, ...answers });
    return made.ok ? weighed(against(rows, made.pattern), COUNTS) : Infinity;
  };
  let [changed, cost] = [{} as Record<string, unknown>, costWith({})];
  for (let round = 0; round < ROUNDS && cost > LESS; round++) {
    const others = questions.flatMap((question) =>
      fewAnswers(question, MOST).map((value) => {
        const answers = { ...changed, [question.key]: value };
        return { answers, cost: costWith(answers) };
      })
    );
    const [next] = others.sort((a, b) => a.cost - b.cost);
    if (!next || next.cost > cost - LESS) break;
    [changed, cost] = [next.answers, next.cost];
  }
  return changed;
}

/** How many at most are tried of what is counted. */
const MOST = 6;
