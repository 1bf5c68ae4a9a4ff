import type { PlanStep } from '$lib/core/plan';
import type { RunEvent, RunEventType } from './schema';

/** What the fold needs of a plan’s step. */
export type RunStep = Pick<PlanStep, 'id' | 'kind'>;

/** What a run has come to. */
export interface RunState {
  phase: 'not-started' | 'running' | 'paused' | 'finished' | 'stopped-early';
  /** Index of the step on the screen; the number of steps once all are done. */
  at: number;
  /** Active seconds of each step up to the last event, pauses left out. */
  seconds: number[];
  /** Time from which the current step’s clock goes on, ms; null while it stands still. */
  clockFrom: number | null;
  /** Faults and notes, in order. */
  incidents: RunEvent[];
  startedAt: number | null;
  endedAt: number | null;
  lastSeq: number;
}

const INCIDENTS: readonly RunEventType[] = ['thread-broke', 'bobbin-out', 'mark-stitch', 'note'];

/**
 * Folds the events of a run into its state. The same events give the same state, so a closed tab, a reload
 * or a second screen all come back to the same step and the same clock.
 *
 * An event that names another step than the one on the screen was pressed on a stale screen; `done`, `back`
 * and `again` then count for nothing, so that two tabs cannot move one step twice.
 *
 * @param steps the steps of the plan the run follows
 * @param events in order of `seq`
 *
 * @example
 * foldRun(plan.steps, [started, doneAfter90s]).at // 1
 */
export function foldRun(steps: readonly RunStep[], events: readonly RunEvent[]): RunState {
  const state: RunState = {
    phase: 'not-started',
    at: 0,
    seconds: steps.map(() => 0),
    clockFrom: null,
    incidents: [],
    startedAt: null,
    endedAt: null,
    lastSeq: 0
  };
  for (const event of events) apply(state, steps, event);
  return state;
}

function apply(state: RunState, steps: readonly RunStep[], event: RunEvent): void {
  state.lastSeq = Math.max(state.lastSeq, event.seq);
  if (state.phase === 'finished' || state.phase === 'stopped-early') return;
  if (event.type === 'start') {
    if (state.phase !== 'not-started') return;
    state.phase = 'running';
    state.startedAt = event.at;
    state.clockFrom = event.at;
    return;
  }
  if (state.phase === 'not-started') return;
  const current = steps[state.at]?.id ?? null;

  switch (event.type) {
    case 'done':
      if (event.stepId !== current || state.at >= steps.length) return;
      resumeClock(state, event.at);
      bookTime(state, event.at);
      state.at += 1;
      return;
    case 'back':
      if (event.stepId !== current || state.at === 0) return;
      resumeClock(state, event.at);
      bookTime(state, event.at);
      state.at -= 1;
      return;
    case 'again': {
      // The stop on the screen, or the last one before it, runs once more.
      const stop = lastStop(steps, state.at);
      if (event.stepId !== current || stop < 0) return;
      resumeClock(state, event.at);
      bookTime(state, event.at);
      state.at = stop;
      state.incidents.push({ ...event, stepId: steps[stop]?.id ?? null });
      return;
    }
    case 'pause':
      if (state.phase === 'paused') return;
      bookTime(state, event.at);
      state.clockFrom = null;
      state.phase = 'paused';
      return;
    case 'resume':
      resumeClock(state, event.at);
      return;
    case 'finish':
    case 'stop-early':
      bookTime(state, event.at);
      state.clockFrom = null;
      state.endedAt = event.at;
      state.phase = event.type === 'finish' ? 'finished' : 'stopped-early';
      return;
    default:
      if (INCIDENTS.includes(event.type)) state.incidents.push(event);
  }
}

function lastStop(steps: readonly RunStep[], from: number): number {
  for (let at = Math.min(from, steps.length - 1); at >= 0; at--) if (steps[at]?.kind === 'stop') return at;
  return -1;
}

/** Going on after a pause, whether by `resume` or by the next `done`. */
function resumeClock(state: RunState, at: number): void {
  if (state.phase !== 'paused') return;
  state.phase = 'running';
  state.clockFrom = at;
}

/** Books the time since the clock last went on to the step on the screen; a clock set back counts nothing. */
function bookTime(state: RunState, at: number): void {
  if (state.clockFrom === null) return;
  const passed = Math.max(0, at - state.clockFrom) / 1000;
  if (state.at < state.seconds.length) state.seconds[state.at] = (state.seconds[state.at] ?? 0) + passed;
  state.clockFrom = at;
}

/**
 * Seconds of the step on the screen at a moment, its earlier visits included.
 *
 * @param now milliseconds since 1970
 */
export function stepSeconds(state: RunState, now: number): number {
  const booked = state.seconds[state.at] ?? 0;
  return state.clockFrom === null ? booked : booked + Math.max(0, now - state.clockFrom) / 1000;
}
