import { BobbinSearch } from './bobbinSearch';
import type { BobbinOptions, BobbinPlan, BobbinStop } from './types';

/**
 * When to put which bobbin on. No bobbin runs out inside a protected stop, except in one that needs more than a full
 * bobbin, where the change is a planned halt. Then the fewest bobbins are put on, then the least thread stays on bobbins
 * that are taken off for good. Bobbins are wound full; one taken off may go on again.
 *
 * @throws RangeError when a bobbin holds nothing
 *
 * @example
 * planBobbins([{ id: 'edge', metres: 14, colour: null, protected: true }], {
 *   capacity: 40, usual: 'white', start: { colour: 'white', metres: 12 }
 * }).changes // one full bobbin before the edge; 12 m stay on the one that comes off
 */
export function planBobbins(stops: readonly BobbinStop[], options: BobbinOptions): BobbinPlan {
  if (!(options.capacity > 0)) throw new RangeError('A bobbin holds more than 0 m.');
  const { changes, leftBehind, proven } = new BobbinSearch(stops, options).best();
  const wind = new Map<string, number>();
  for (const { full, colour } of changes) if (full) wind.set(colour, (wind.get(colour) ?? 0) + 1);
  return {
    changes,
    leftBehind,
    wind: [...wind].map(([colour, count]) => ({ colour, count })),
    proven
  };
}
