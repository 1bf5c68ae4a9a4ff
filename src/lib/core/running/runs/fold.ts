import type { Fault, RunEvent, RunEventType } from '$lib/core/documents/run';
import type { Bookmark, FaultRecord, RunState, RunStep } from './runState';

const OVER: readonly RunState['phase'][] = ['finished', 'stopped-early'];

/**
 * Folds the events of a run into its state. The same events give the same state, so a closed tab, a reload
 * or a second screen all come back to the same step and the same clock.
 *
 * An event that names another step than the one on the screen was pressed on a stale screen, or on another device; it does not
 * move the screen, so that two tabs cannot move one step twice. What another device has done is done all the same.
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
    trusted: steps.map(() => true),
    steps: steps.map(({ id }) => id),
    client: '',
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

type Act = (state: RunState, event: RunEvent, steps: readonly RunStep[]) => void;

/** What an event means before the start, while the run is on, and once it is over; nothing for null. */
interface Meaning {
  before: Act | null;
  during: Act | null;
  after: Act | null;
}
const during = (act: Act): Meaning => ({ before: null, during: act, after: null });

/** Every kind of event: a new one does not compile until it says what it means. */
const MEANINGS: Readonly<Record<RunEventType, Meaning>> = {
  prepare: { before: null, during: null, after: null },
  check: { before: tick, during: null, after: null },
  uncheck: { before: tick, during: null, after: null },
  start: { before: begin, during: null, after: null },
  done: { before: null, during: move, after: doneElsewhere },
  back: during(move),
  again: during(move),
  skip: during(move),
  'go-to': during(move),
  fault: during((state, event) => {
    resumeClock(state, event.at);
    bookTime(state, event);
    closeFault(state, null);
    if (!event.fault) return;
    state.fault = record(event, event.fault);
    state.incidents.push(event);
  }),
  sorted: during((state, event) => {
    bookTime(state, event);
    closeFault(state, event.stitch);
    know(state, event.stitch, event.at);
  }),
  'thread-broke': during((state, event) => faultOfOld(state, event, 'thread-broke')),
  'bobbin-out': during((state, event) => faultOfOld(state, event, 'bobbin-out')),
  'mark-stitch': during((state, event) => {
    state.incidents.push(event);
    know(state, event.stitch, event.at);
    if (event.stitch !== null && event.stepId !== null)
      state.mark = { stepId: event.stepId, stop: event.stop, stitch: event.stitch };
  }),
  note: during((state, event) => void state.incidents.push(event)),
  pause: during((state, event) => hold(state, event, 'paused')),
  bookmark: during((state, event) => {
    hold(state, event, 'set-aside');
    state.bookmark = bookmarkOf(event);
    know(state, event.stitch, event.at);
  }),
  resume: during((state, event) => resumeClock(state, event.at)),
  follow: { before: follow, during: follow, after: null },
  away: during(away),
  'mend-time': { before: null, during: mendTime, after: mendTime },
  finish: during((state, event) => end(state, event, 'finished')),
  'stop-early': {
    before: (state, event) => end(state, event, 'stopped-early'),
    during: (state, event) => end(state, event, 'stopped-early'),
    after: null
  }
};

function apply(state: RunState, steps: readonly RunStep[], event: RunEvent): void {
  state.lastSeq = Math.max(state.lastSeq, event.seq);
  const meaning = MEANINGS[event.type];
  const act = OVER.includes(state.phase)
    ? meaning.after
    : state.phase === 'not-started'
      ? meaning.before
      : meaning.during;
  act?.(state, event, steps);
  state.client = event.client;
}

function tick(state: RunState, { type, to }: RunEvent): void {
  if (to === undefined) return;
  state.checked = state.checked.filter((id) => id !== to);
  if (type === 'check') state.checked.push(to);
}

function begin(state: RunState, { at }: RunEvent): void {
  state.phase = 'running';
  state.startedAt = at;
  state.clockFrom = at;
}

function follow(state: RunState, { to }: RunEvent): void {
  state.follows = to ?? null;
}

function hold(state: RunState, event: RunEvent, phase: 'paused' | 'set-aside'): void {
  if (state.phase === 'running') bookTime(state, event);
  state.clockFrom = null;
  state.phase = phase;
}

function end(state: RunState, event: RunEvent, phase: 'finished' | 'stopped-early'): void {
  bookTime(state, event);
  closeFault(state, null);
  state.clockFrom = null;
  state.endedAt = event.at;
  state.phase = phase;
}

function faultOfOld(state: RunState, event: RunEvent, fault: Fault): void {
  state.faults.push(record(event, fault));
  state.incidents.push(event);
}

/** Nobody looked for a while: so much of that time counts, and it teaches only where the maker knows. */
function away(state: RunState, event: RunEvent): void {
  if (state.clockFrom === null || !isOnScreen(state, event)) return;
  book(state, event.seconds ?? 0);
  state.clockFrom = event.at;
  if (event.to !== 'paused') distrust(state, state.at);
}

/** The time of a step as the maker says it was. */
function mendTime(state: RunState, { stepId, seconds }: RunEvent): void {
  const at = state.steps.indexOf(stepId ?? '');
  if (at < 0 || seconds === undefined) return;
  state.seconds[at] = seconds;
  state.trusted[at] = true;
  if (at === state.at) state.visit = seconds;
}

/**
 * A step that was done on another device while this one stood elsewhere: done is done, wherever the screen stands. Presses of one
 * device are stored only where they fit its screen, so those that do not fit here came from another.
 */
function doneElsewhere(state: RunState, { stepId, clock, seconds }: RunEvent): void {
  const at = state.steps.indexOf(stepId ?? '');
  if (clock === undefined || at < 0 || state.done[at] === true) return;
  state.done[at] = true;
  state.skipped = state.skipped.filter((each) => each !== at);
  if (seconds !== undefined) state.seconds[at] = seconds;
  else distrust(state, at);
}

function move(state: RunState, event: RunEvent, steps: readonly RunStep[]): void {
  if (!isOnScreen(state, event)) {
    if (event.type === 'done') doneElsewhere(state, event);
    return;
  }
  const from = state.at;
  const target = targetOf(state, steps, event);
  if (target === null) return;
  resumeClock(state, event.at);
  bookTime(state, event);
  if (event.type === 'done') {
    closeFault(state, null);
    // What the machine counted is nearer than the clock of a screen that follows it.
    if (event.seconds !== undefined) {
      state.seconds[from] = (state.seconds[from] ?? 0) - state.visit + event.seconds;
      state.trusted[from] = true;
    }
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

/** Presses that name the step on the screen; on a stale screen they count for nothing. */
const MOVES: ReadonlySet<RunEventType> = new Set(['done', 'back', 'again', 'skip', 'go-to', 'away']);

/**
 * Whether an event fits the screen of the device that writes it: one that bounces, or was pressed on a screen that had not followed
 * yet, does not.
 */
export function fitsScreen(state: RunState, event: Pick<RunEvent, 'type' | 'stepId'>): boolean {
  return !MOVES.has(event.type) || isOnScreen(state, event);
}

function isOnScreen({ steps, at }: RunState, { stepId }: Pick<RunEvent, 'stepId'>): boolean {
  return stepId === (steps[at] ?? null);
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

/**
 * Books the time since the clock last went on, to the open fault or the step. A clock set back counts nothing; what lies between
 * the clocks of two devices is counted, and teaches nothing.
 */
function bookTime(state: RunState, { at, client }: Pick<RunEvent, 'at' | 'client'>): void {
  if (state.clockFrom === null) return;
  if (at < state.clockFrom || client !== state.client) distrust(state, state.at);
  book(state, Math.max(0, at - state.clockFrom) / 1000);
  state.clockFrom = at;
}

function book(state: RunState, passed: number): void {
  if (state.fault) state.fault.seconds = (state.fault.seconds ?? 0) + passed;
  else if (state.at < state.seconds.length) {
    state.seconds[state.at] = (state.seconds[state.at] ?? 0) + passed;
    state.visit += passed;
  }
}

function distrust(state: RunState, at: number): void {
  if (at < state.trusted.length) state.trusted[at] = false;
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
