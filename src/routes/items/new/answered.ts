import type { Question } from '$lib/core/craft/sequence';

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
