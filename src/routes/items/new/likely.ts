import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import type { Pattern, Question } from '$lib/core/craft/sequence';
import { likeliest } from '$lib/core/reading/matching';
import type { ReadRow } from '$lib/core/reading/papers';

let usual: { of: string; name: string; pattern: Pattern }[] | undefined;

/** Every construction with its usual answers; made once, when the first chart asks. */
function usualPatterns(): { of: string; name: string; pattern: Pattern }[] {
  usual ??= CONSTRUCTIONS.flatMap(({ kind, name, patternOf, defaults }) => {
    const made = patternOf(defaults);
    return made.ok && kind !== 'own' ? [{ of: kind, name, pattern: made.pattern }] : [];
  });
  return usual;
}

/** The construction that the rows of a chart go with best, by its kind. */
export function likeliestOf(rows: readonly ReadRow[], title: string | null): string | undefined {
  return likeliest(rows, usualPatterns(), title)[0]?.of;
}

/**
 * Answers that the chart gave and nobody has changed, in the words of their questions.
 *
 * @example
 * answeredWords(questions, { copies: 1 }, { copies: 1, gap: 20 }) // ['Copies in the hoop: 1']
 */
export function answeredWords(
  questions: readonly Question[],
  charted: Readonly<Record<string, unknown>>,
  given: Readonly<Record<string, unknown>>
): string[] {
  return questions.flatMap((question): string[] => {
    const value = given[question.key];
    if (!(question.key in charted) || charted[question.key] !== value) return [];
    const option = question.kind === 'choice' ? question.options.find((each) => each.value === value) : null;
    return [`${question.label}: ${option?.label ?? String(value)}`];
  });
}
