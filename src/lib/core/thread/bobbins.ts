import { BobbinSearch } from './bobbinSearch';

/** A stop as the bobbin sees it. */
export interface BobbinStop {
  id: string;
  /** Thread it takes from the bobbin, m. */
  metres: number;
  /** Thread the bobbin must be wound with; null where any will do. */
  colour: string | null;
  /** The bobbin must not run out inside it. */
  protected: boolean;
}

export interface BobbinOptions {
  /** Thread on a full bobbin, m. */
  capacity: number;
  /** Thread that bobbins are usually wound with. */
  usual: string;
  /** The bobbin in the machine before the start. */
  start?: { colour: string; metres: number } | null;
}

/** A bobbin that is put on. */
export interface BobbinChange {
  /** Index of the stop before which, or inside which, it is put on. */
  at: number;
  colour: string;
  /** Thread on it, m: a full one’s, or what was left when it was taken off before. */
  metres: number;
  full: boolean;
  /** Metres of the stop stitched when it goes on; 0 before the stop. */
  into: number;
  /** What was on the one that comes off: 0 when it ran out; null when there was none. */
  leaves: number | null;
}

export interface BobbinPlan {
  changes: BobbinChange[];
  /** Thread left on bobbins that never go on again, m; the last one stays on the machine. */
  leftBehind: number;
  /** Full bobbins to wind before starting, by thread. */
  wind: { colour: string; count: number }[];
  /** Whether no plan can be better. */
  proven: boolean;
}

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
