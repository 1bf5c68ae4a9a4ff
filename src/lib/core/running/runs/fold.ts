import type { PlanStep } from '$lib/core/documents/plan';
import type { Fault, RunEvent, RunEventType } from '$lib/core/documents/run';

/** What the fold needs of a plan’s step. */
export type RunStep = Pick<PlanStep, 'id' | 'kind'>;

/** A fault and what it took to put right. */
export interface FaultRecord {
  fault: Fault;
  stepId: string;
  stop: number | null;
  stitch: number | null;
  at: number;
  /** Seconds until it was sorted; null where nobody told. */
  seconds: number | null;
  /** The machine told of it, and will tell when it goes on. */
  told: boolean;
}

/** Where a half-stitched hooping was left. */
export interface Bookmark {
  stepId: string;
  stop: number | null;
  stitch: number | null;
  at: number;
  text: string;
}

/** What a run has come to. */
export interface RunState {
  phase: 'not-started' | 'running' | 'paused' | 'set-aside' | 'finished' | 'stopped-early';
  /** Index of the step on the screen; the number of steps once all are done. */
  at: number;
  /** Which steps are done. */
  done: boolean[];
  /** Indices of steps left for later, in the order they were left. */
  skipped: number[];
  /** Active seconds of each step up to the last event; pauses and faults left out. */
  seconds: number[];
  /** Time from which the clock of the step, or of the open fault, goes on, ms; null while it stands still. */
  clockFrom: number | null;
  /** The fault that is being put right. */
  fault: FaultRecord | null;
  faults: FaultRecord[];
  /** Set while the hooping waits half-stitched. */
  bookmark: Bookmark | null;
  /** Faults, marks and notes, in order. */
  incidents: RunEvent[];
  /** Checks before the start that are ticked. */
  checked: string[];
  /** The machine this run follows. */
  follows: string | null;
  startedAt: number | null;
  endedAt: number | null;
  lastSeq: number;
  /** Indices of the steps that stood on the screen before, for going back. */
  path: number[];
  /** Seconds booked to the step since it came onto the screen. */
  visit: number;
  /** A stitch of the step on the screen that is known, and the step’s seconds at that moment. */
  known: { stitch: number; seconds: number } | null;
  /** The last stitch that was marked, while its stop is not done. */
  mark: { stepId: string; stop: number | null; stitch: number } | null;
}

const OVER: readonly RunState['phase'][] = ['finished', 'stopped-early'];
/** Presses that name the step on the screen; on a stale screen they count for nothing. */
const MOVES: readonly RunEventType[] = ['done', 'back', 'again', 'skip', 'go-to'];

/**
 * Folds the events of a run into its state. The same events give the same state, so a closed tab, a reload
 * or a second screen all come back to the same step and the same clock.
 *
 * An event that names another step than the one on the screen was pressed on a stale screen; what would move the screen
 * then counts for nothing, so that two tabs cannot move one step twice.
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
    done: steps.map(() => false),
    skipped: [],
    seconds: steps.map(() => 0),
    clockFrom: null,
    fault: null,
    faults: [],
    bookmark: null,
    incidents: [],
    checked: [],
    follows: null,
    startedAt: null,
    endedAt: null,
    lastSeq: 0,
    path: [],
    visit: 0,
    known: null,
    mark: null
  };
  for (const event of events) apply(state, steps, event);
  return state;
}

function apply(state: RunState, steps: readonly RunStep[], event: RunEvent): void {
  state.lastSeq = Math.max(state.lastSeq, event.seq);
  if (OVER.includes(state.phase)) return;
  if (event.type === 'follow') state.follows = event.to ?? null;
  if (state.phase === 'not-started') {
    if (event.type === 'start') {
      state.phase = 'running';
      state.startedAt = event.at;
      state.clockFrom = event.at;
    } else if (event.to !== undefined && (event.type === 'check' || event.type === 'uncheck')) {
      state.checked = state.checked.filter((id) => id !== event.to);
      if (event.type === 'check') state.checked.push(event.to);
    } else if (event.type === 'stop-early') {
      state.phase = 'stopped-early';
      state.endedAt = event.at;
    }
    return;
  }
  if (MOVES.includes(event.type)) {
    move(state, steps, event);
    return;
  }
  switch (event.type) {
    case 'fault':
      resumeClock(state, event.at);
      bookTime(state, event.at);
      closeFault(state, null);
      if (event.fault) {
        state.fault = record(event, event.fault);
        state.incidents.push(event);
      }
      return;
    case 'sorted':
      bookTime(state, event.at);
      closeFault(state, event.stitch);
      know(state, event.stitch, event.at);
      return;
    case 'thread-broke':
    case 'bobbin-out':
      state.faults.push(record(event, event.type));
      state.incidents.push(event);
      return;
    case 'mark-stitch':
      state.incidents.push(event);
      know(state, event.stitch, event.at);
      if (event.stitch !== null && event.stepId !== null)
        state.mark = { stepId: event.stepId, stop: event.stop, stitch: event.stitch };
      return;
    case 'note':
      state.incidents.push(event);
      return;
    case 'pause':
    case 'bookmark':
      if (state.phase === 'running') bookTime(state, event.at);
      state.clockFrom = null;
      state.phase = event.type === 'pause' ? 'paused' : 'set-aside';
      if (event.type === 'bookmark') {
        state.bookmark = bookmarkOf(event);
        know(state, event.stitch, event.at);
      }
      return;
    case 'resume':
      resumeClock(state, event.at);
      return;
    case 'finish':
    case 'stop-early':
      bookTime(state, event.at);
      closeFault(state, null);
      state.clockFrom = null;
      state.endedAt = event.at;
      state.phase = event.type === 'finish' ? 'finished' : 'stopped-early';
      return;
    default:
  }
}

function move(state: RunState, steps: readonly RunStep[], event: RunEvent): void {
  if (event.stepId !== (steps[state.at]?.id ?? null)) return;
  const from = state.at;
  const target = targetOf(state, steps, event);
  if (target === null) return;
  resumeClock(state, event.at);
  bookTime(state, event.at);
  if (event.type === 'done') {
    closeFault(state, null);
    // What the machine counted is nearer than the clock of a screen that follows it.
    if (event.seconds !== undefined)
      state.seconds[from] = (state.seconds[from] ?? 0) - state.visit + event.seconds;
    state.done[from] = true;
  }
  if (event.type === 'skip') state.skipped.push(from);
  if (event.type === 'back') state.path.pop();
  else if (target !== from) state.path.push(from);
  if (event.type === 'again') state.incidents.push({ ...event, stepId: steps[target]?.id ?? null });
  state.skipped = state.skipped.filter((at) => at !== target);
  if (target < steps.length) state.done[target] = false;
  if (event.type === 'done' && state.mark?.stepId === steps[from]?.id) state.mark = null;
  state.at = target;
  state.visit = 0;
  state.known = null;
  // Whoever comes back to a marked stop goes on at the mark.
  if (state.mark && state.mark.stepId === steps[target]?.id) know(state, state.mark.stitch, event.at);
}

/** Where an event moves the screen to; null where it cannot. */
function targetOf(state: RunState, steps: readonly RunStep[], event: RunEvent): number | null {
  switch (event.type) {
    case 'done':
      return state.at < steps.length ? nextOpen(state, state.at) : null;
    case 'skip': {
      if (state.at >= steps.length) return null;
      const next = nextOpen(state, state.at);
      return next === steps.length ? null : next;
    }
    case 'back':
      return state.path.at(-1) ?? null;
    case 'again': {
      // The stop on the screen, or the last one before it, runs once more.
      const stop = lastStop(steps, state.at);
      return stop < 0 ? null : stop;
    }
    default: {
      const to = steps.findIndex(({ id }) => id === event.to);
      return to < 0 || to === state.at ? null : to;
    }
  }
}

/**
 * The first step that is neither done nor left for later, so that whoever went ahead comes back; then what was left for
 * later; then the end.
 */
function nextOpen({ done, skipped }: RunState, from: number): number {
  const open = done.flatMap((isDone, at) => (isDone || at === from ? [] : [at]));
  return open.find((at) => !skipped.includes(at)) ?? open[0] ?? done.length;
}

function lastStop(steps: readonly RunStep[], from: number): number {
  for (let at = Math.min(from, steps.length - 1); at >= 0; at--) if (steps[at]?.kind === 'stop') return at;
  return -1;
}

function record({ stepId, stop, stitch, at, from }: RunEvent, fault: Fault): FaultRecord {
  return { fault, stepId: stepId ?? '', stop, stitch, at, seconds: null, told: from !== undefined };
}

function bookmarkOf({ stepId, stop, stitch, at, text }: RunEvent): Bookmark {
  return { stepId: stepId ?? '', stop, stitch, at, text };
}

/** A stitch of the step on the screen is known from here on. */
function know(state: RunState, stitch: number | null, at: number): void {
  if (stitch !== null) state.known = { stitch, seconds: stepSeconds(state, at) };
}

/** The open fault is sorted, at a stitch where one was told. */
function closeFault(state: RunState, stitch: number | null): void {
  if (!state.fault) return;
  const sorted = { ...state.fault, stitch: stitch ?? state.fault.stitch, seconds: state.fault.seconds ?? 0 };
  state.faults.push(sorted);
  const told = state.incidents.findLastIndex(({ type }) => type === 'fault');
  state.incidents = state.incidents.map((event, at) =>
    at === told ? { ...event, stitch: sorted.stitch } : event
  );
  state.fault = null;
}

/** Going on after a pause, whether by `resume` or by the next press. */
function resumeClock(state: RunState, at: number): void {
  if (state.phase !== 'paused' && state.phase !== 'set-aside') return;
  state.phase = 'running';
  state.bookmark = null;
  state.clockFrom = at;
}

/** Books the time since the clock last went on, to the open fault or the step; a clock set back counts nothing. */
function bookTime(state: RunState, at: number): void {
  if (state.clockFrom === null) return;
  const passed = Math.max(0, at - state.clockFrom) / 1000;
  if (state.fault) state.fault.seconds = (state.fault.seconds ?? 0) + passed;
  else if (state.at < state.seconds.length) {
    state.seconds[state.at] = (state.seconds[state.at] ?? 0) + passed;
    state.visit += passed;
  }
  state.clockFrom = at;
}

/**
 * Seconds of the step on the screen at a moment, its earlier visits included and the open fault left out.
 *
 * @param now milliseconds since 1970
 */
export function stepSeconds(state: RunState, now: number): number {
  const booked = state.seconds[state.at] ?? 0;
  return state.clockFrom === null || state.fault ? booked : booked + sinceClock(state.clockFrom, now);
}

/** Seconds the open fault has taken at a moment; 0 without one. */
export function faultSeconds({ fault, clockFrom }: RunState, now: number): number {
  if (!fault) return 0;
  return (fault.seconds ?? 0) + (clockFrom === null ? 0 : sinceClock(clockFrom, now));
}

const sinceClock = (from: number, now: number): number => Math.max(0, now - from) / 1000;
