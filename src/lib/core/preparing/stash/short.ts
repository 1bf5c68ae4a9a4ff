import { formatThread, type LengthUnit } from '$lib/core/base/units';
import type { StashEntry } from '$lib/core/documents/stash';

/** Below so much a spool is nearly empty, m. */
const LITTLE_THREAD = 150;
/** So few of what is counted are soon gone. */
const FEW = 3;

/**
 * What of the stash runs short, in words, the scarcest first.
 *
 * @example
 * runningShort([brassWith40m], 'mm') // ['Brass: 40 m left']
 */
export function runningShort(entries: readonly StashEntry[], unit: LengthUnit): string[] {
  return entries
    .flatMap((entry): { left: number; words: string }[] => {
      if (entry.what === 'cloth') return [];
      if (entry.what === 'thread')
        return entry.metres < LITTLE_THREAD
          ? [
              {
                left: entry.metres / LITTLE_THREAD,
                words: `${entry.name}: ${formatThread(entry.metres, unit, true)} left`
              }
            ]
          : [];
      return entry.count <= FEW
        ? [{ left: entry.count / (FEW + 1), words: `${entry.name}: ${entry.count} left` }]
        : [];
    })
    .sort((a, b) => a.left - b.left)
    .map(({ words }) => words);
}
