import { differenceCiede2000 } from 'culori';

/** A thread of the maker’s own, compared with a colour wanted. */
export interface Match<T> {
  thread: T;
  /** Perceptual difference: below 2 hardly seen, above 10 another colour. */
  difference: number;
}

const difference = differenceCiede2000();

/**
 * The threads of a palette nearest to a colour, by CIEDE2000 (CIE 142-2001), the nearest first.
 *
 * @param colour as #rrggbb
 *
 * @example
 * nearestThreads('#f4f1ea', stash, 3)[0]?.thread.name // 'Signal white'
 */
export function nearestThreads<T extends { colour: string }>(
  colour: string,
  palette: readonly T[],
  most: number
): Match<T>[] {
  return palette
    .map((thread) => ({ thread, difference: difference(colour, thread.colour) }))
    .sort((a, b) => a.difference - b.difference)
    .slice(0, most);
}

/**
 * A difference in words.
 *
 * @example
 * differenceWords(1.4) // 'hardly to be told apart'
 */
export function differenceWords(by: number): string {
  if (by < 1) return 'the same';
  if (by < 2.5) return 'hardly to be told apart';
  if (by < 6) return 'close';
  return by < 12 ? 'a shade off' : 'another colour';
}
