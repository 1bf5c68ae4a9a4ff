import type { Pattern } from '$lib/core/craft/sequence';
import type { ReadRow } from '$lib/core/reading/papers';
import { align } from './align';

/** How well the rows of a chart go with a construction. */
export interface Likely<Kind> {
  of: Kind;
  /** Sum of likeness of the best alignment, less what it leaves out. */
  score: number;
  /** Needed stops that no row stands for. */
  missing: number;
}

/** What a word of a construction’s name in the paper’s title adds. */
const TITLED = 10;
/** And what a word of the name that the title lacks takes off, where another stands there. */
const UNSAID = 1;
/** Of constructions a chart fits alike the one that is made more often comes first: each place further down takes so much off. */
const LATER = 0.05;
/** A file of another construction has rows for all of its stops: one that has no row takes so much more off. */
const LACKS = 2;

/**
 * What a chart may be of, the likeliest first: every construction’s stops are put beside its rows, its name beside the title.
 *
 * @param choices constructions with the pattern each makes, what is made most often first
 *
 * @example
 * likeliest(rows, [{ of: 'patch', name: 'Patch', pattern }], 'Signal patch')[0]?.of // 'patch'
 */
export function likeliest<Kind>(
  rows: readonly ReadRow[],
  choices: readonly { of: Kind; name: string; pattern: Pattern }[],
  title: string | null
): Likely<Kind>[] {
  const titled = wordsOf(title ?? '');
  return choices
    .map(({ of, name, pattern }, at) => {
      const { score, missing } = align([...rows], pattern.expected);
      const optional = new Set(pattern.expected.flatMap(({ key, optional }) => (optional ? [key] : [])));
      const shared = wordsOf(name).filter((word) => titled.includes(word)).length;
      const unsaid = shared > 0 ? wordsOf(name).length - shared : 0;
      const lacks = missing.filter((key) => !optional.has(key)).length;
      return {
        of,
        score: score + TITLED * shared - UNSAID * unsaid - LATER * at - LACKS * lacks,
        missing: lacks
      };
    })
    .sort((a, b) => b.score - a.score);
}

/** Words as they are compared: without the ends that number and case give them. */
function wordsOf(text: string): string[] {
  return (text.toLowerCase().match(/\p{L}{3,}/gu) ?? []).map((word) => word.replace(/(?:ies|es|s)$/, ''));
}
