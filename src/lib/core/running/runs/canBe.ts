import type { PlanStep } from '$lib/core/documents/plan';

/** How far beyond the highest that is expected a time can still be one that was worked, and the least that is allowed anyhow, s. */
const BEYOND = 5;
const AT_LEAST = 20 * 60;
/** No machine stitches faster, stitches a minute. */
const FASTEST = 2000;

/**
 * Whether a step can have taken so long. A night between two stitches cannot be worked time, nor four thousand stitches in a
 * second; neither teaches anything.
 *
 * @param seconds as it was logged
 *
 * @example
 * canBe(stopOf118Stitches, 77_100) // false: 21 h 25
 */
export function canBe(
  { hands, running, waiting, stop }: Pick<PlanStep, 'hands' | 'running' | 'waiting' | 'stop'>,
  seconds: number
): boolean {
  const most = Math.max(AT_LEAST, BEYOND * (hands.high + running.high + waiting.high));
  const least = stop ? (stop.stitches * 60) / FASTEST : 0;
  return seconds >= least && seconds <= most;
}
