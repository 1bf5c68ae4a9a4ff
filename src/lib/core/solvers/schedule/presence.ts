import type { Span } from './calendar';

/** Hands may leave the bench where nothing needs them for at least so long, s. */
export const AWAY_S = 15 * 60;

/**
 * When somebody has to be there: stretches of hands, joined over gaps too short to leave.
 *
 * @param hands every stretch in which some hands work
 *
 * @example
 * presenceOf([{ from: 0, to: 60 }, { from: 120, to: 180 }, { from: 2000, to: 2060 }])
 * // [{ from: 0, to: 180 }, { from: 2000, to: 2060 }]
 */
export function presenceOf(hands: readonly Span[]): Span[] {
  const joined: Span[] = [];
  for (const { from, to } of hands.toSorted((a, b) => a.from - b.from)) {
    const last = joined.at(-1);
    if (last && from - last.to < AWAY_S) last.to = Math.max(last.to, to);
    else joined.push({ from, to });
  }
  return joined;
}
