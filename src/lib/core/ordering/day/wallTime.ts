import { DAY_S } from '$lib/core/solvers/schedule';

/**
 * Seconds of a wall time from the midnight of another’s day. Both stand on the same wall, so no zone comes in.
 *
 * @example
 * secondsBetween('2026-11-27T00:00', '2026-11-28T09:30') // 120600
 */
export function secondsBetween(from: string, to: string): number {
  return (at(to) - at(`${from.slice(0, 10)}T00:00`)) / 1000;
}

/**
 * The wall time so many seconds after the midnight of a day, to the minute.
 *
 * @example
 * wallTimeAt('2026-11-27T09:00', 120600) // '2026-11-28T09:30'
 */
export function wallTimeAt(from: string, seconds: number): string {
  return new Date(at(`${from.slice(0, 10)}T00:00`) + Math.round(seconds) * 1000).toISOString().slice(0, 16);
}

/** Day of the week of a wall time, Sunday is 0. */
export function weekdayOf(wall: string): number {
  return new Date(at(wall)).getUTCDay();
}

/**
 * A time as one says it: the hour, and the day where it is another one.
 *
 * @param from the day on which the schedule begins
 *
 * @example
 * sayTime('2026-11-27T09:00', 59520) // '16:32'
 * sayTime('2026-11-27T09:00', 120600) // 'Sat 09:30'
 */
export function sayTime(from: string, seconds: number): string {
  const wall = wallTimeAt(from, seconds);
  const day = seconds >= DAY_S ? `${DAYS[weekdayOf(wall)] ?? ''} ` : '';
  return `${day}${wall.slice(11)}`;
}

const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;

/** Read as if the wall stood in Greenwich: only differences and days of the week are asked of it. */
function at(wall: string): number {
  return Date.parse(`${wall.slice(0, 16)}Z`);
}
