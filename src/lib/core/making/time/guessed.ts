import type { Item, Stop } from '$lib/core/documents/item';
import type { Estimate } from '$lib/core/documents/plan';
import type { LearnedCount } from '$lib/core/documents/shop';

/** A count that nobody has charted may be so many times more or less. */
export const GUESS_FACTOR = 1.6;

/** How a count that nobody has charted is reckoned. */
export interface CountGuess {
  /** Stitches for each of the craft’s default. */
  times: number;
  /** How far it may be off, either way. */
  factor: number;
  /** Charted items it rests on; 0 for the default. */
  items: number;
}

const DEFAULT_GUESS: CountGuess = { times: 1, factor: GUESS_FACTOR, items: 0 };

/**
 * What charted items tell of a stop that is not charted: those of the same house first, else all of the workroom.
 *
 * @returns the craft’s default where nothing is told
 */
export function guessFor(
  { role, phases }: Pick<Stop, 'role' | 'phases'>,
  house: string | undefined,
  counts: readonly LearnedCount[] = []
): CountGuess {
  const isEdge = role === 'satin-edge' || role === 'applique-edge';
  if (phases.some(({ stitch }) => stitch !== undefined)) return DEFAULT_GUESS;
  const kind = isEdge ? 'edge' : role === 'decoration' ? 'fill' : undefined;
  const own = counts.filter((count) => count.kind === kind);
  return (
    own.find((count) => count.house === (house ?? '')) ??
    own.find((count) => count.house === '') ??
    DEFAULT_GUESS
  );
}

/** The item with the counts nobody has charted as charted items tell. */
export function withGuesses(item: Item, counts: readonly LearnedCount[] = []): Item {
  if (counts.length === 0) return item;
  return {
    ...item,
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => {
        if (stop.countSource !== 'estimate') return stop;
        const { times } = guessFor(stop, item.house, counts);
        if (times === 1) return stop;
        return {
          ...stop,
          phases: stop.phases.map((phase) => ({ ...phase, stitches: Math.round(phase.stitches * times) }))
        };
      })
    }))
  };
}

/**
 * An estimate of which a share rests on guessed counts: that share’s range reaches further either way.
 *
 * @param share of the time, 0 to 1
 * @param factor by which the guess may be off
 *
 * @example
 * widened(fromDefaults('needle', 780), 1).high // 1719: 780 × e^(0.25 × 1.2816) × 1.6
 */
export function widened(estimate: Estimate, share: number, factor = GUESS_FACTOR): Estimate {
  if (share <= 0) return estimate;
  const { low, high } = estimate;
  return {
    ...estimate,
    low: low * (1 - share) + (low * share) / factor,
    high: high * (1 - share) + high * share * factor
  };
}
