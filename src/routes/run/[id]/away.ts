import type { PlanStep } from '$lib/core/documents/plan';
import type { RunState } from '$lib/core/running/runs';
import { remember, remembered } from '$lib/ui/remembered';

/** What the maker says of the time in which nobody looked. */
export type AwayAnswer = 'went-on' | 'paused' | 'unknown';

/** Time in which nobody looked. */
export interface Away {
  /** When the screen was looked at last, ms since 1970. */
  from: number;
  /** s */
  seconds: number;
}

/** Shorter than this is a glance elsewhere, and a step may take so much longer than expected, s. */
const A_WHILE = 5 * 60;
const LONGER = 10 * 60;

const keyOf = (runId: string): string => `jolt-step.seen.${runId}`;

/** Notes that somebody looks at a run. */
export function seen(runId: string, now: number): void {
  remember(keyOf(runId), String(now));
}

/** Forgets when a run was looked at, once it is over. */
export function forgetSeen(runId: string): void {
  remember(keyOf(runId), null);
}

/**
 * The time in which nobody looked at a run whose clock went on, where that is more than the step can be expected to take.
 *
 * @param now ms since 1970
 */
export function awayFrom(runId: string, run: RunState, step: PlanStep | undefined, now: number): Away | null {
  if (run.phase !== 'running' || run.fault !== null || run.clockFrom === null || !step) return null;
  const last = Number(remembered(keyOf(runId)) ?? 0);
  const from = Math.min(now, Math.max(last, run.clockFrom));
  const seconds = (now - from) / 1000;
  const booked = (run.seconds[run.at] ?? 0) + (now - run.clockFrom) / 1000;
  const expected = step.hands.high + step.running.high + step.waiting.high;
  return seconds > A_WHILE && booked > expected + LONGER ? { from, seconds } : null;
}

/** What of the time since the clock went on last counts, s. */
export function countedOf(answer: AwayAnswer, { from }: Away, run: RunState, step: PlanStep): number {
  const until = (from - (run.clockFrom ?? from)) / 1000;
  if (answer !== 'went-on') return Math.max(0, until);
  const expected = step.hands.value + step.running.value + step.waiting.value;
  return Math.max(until, expected - (run.seconds[run.at] ?? 0), 0);
}
