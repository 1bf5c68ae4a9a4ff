const WORDS = [
  'none',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve'
];

/** The words for 1 to 12, in their order. */
export const NUMBER_WORDS: readonly string[] = WORDS.slice(1);

/**
 * A small number as a word; one above 12 in figures.
 *
 * @example
 * numberWord(3) // 'three'
 */
export function numberWord(count: number): string {
  return WORDS[count] ?? String(count);
}

/**
 * The number that a word or figures say.
 *
 * @returns undefined where they say none from 1 up
 *
 * @example
 * numberSaid('Three') // 3
 */
export function numberSaid(word: string): number | undefined {
  const at = WORDS.indexOf(word.toLowerCase());
  if (at > 0) return at;
  return /^\d+$/.test(word) ? Number(word) : undefined;
}
