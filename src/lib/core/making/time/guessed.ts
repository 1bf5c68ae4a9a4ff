import type { Estimate } from '$lib/core/documents/plan';

/** A count that nobody has charted may be so many times more or less. */
export const GUESS_FACTOR = 1.6;

/**
 * An estimate of which a share rests on guessed counts: that share’s range reaches 1.6 times further either way.
 *
 * @param share of the time, 0 to 1
 *
 * @example
 * widened(fromDefaults('needle', 780), 1).high // 1719: 780 × e^(0.25 × 1.2816) × 1.6
 */
export function widened(estimate: Estimate, share: number): Estimate {
  if (share <= 0) return estimate;
  const { low, high } = estimate;
  return {
    ...estimate,
    low: low * (1 - share) + (low * share) / GUESS_FACTOR,
    high: high * (1 - share) + high * share * GUESS_FACTOR
  };
}
