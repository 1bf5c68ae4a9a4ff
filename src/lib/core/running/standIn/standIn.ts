import { HALT_S, NEEDLE_SWITCH_S, START_S, TRIM_S } from '$lib/core/making/time';
import { nextFault } from './faults';
import type { JobStop, MachineEvent, MachineEventType, MachineState, StandInSetup } from './schema';

/** Times nearer than this are one, s. */
const SAME = 1e-9;

/** A machine just switched on: empty, no hoop on. */
export function newStandIn(setup: StandInSetup): MachineState {
  return {
    setup,
    phase: 'idle',
    job: null,
    at: 0,
    stitch: 0,
    reached: 0,
    passes: {},
    hoop: null,
    threads: Array.from({ length: setup.needles }, () => null),
    bobbin: setup.bobbinMetres,
    fault: null,
    mended: false,
    clock: 0,
    spent: 0,
    lag: 0,
    ending: false,
    seq: 0
  };
}

/** A machine as it is changed, and what it told meanwhile. */
export class Told {
  readonly events: MachineEvent[] = [];

  constructor(readonly state: MachineState) {}

  say(type: MachineEventType, text: string, more: Partial<MachineEvent> = {}): void {
    const { state } = this;
    state.seq += 1;
    this.events.push({
      seq: state.seq,
      type,
      clock: state.clock,
      stop: stopAt(state)?.number ?? null,
      stitch: state.job ? state.stitch : null,
      text,
      ...more
    });
  }
}

export const stopAt = ({ job, at }: MachineState): JobStop | undefined => job?.stops[at];

/** Begins, or goes on with, the stop the machine stands in. */
export function run(told: Told, switches = false): void {
  const { state } = told;
  state.phase = 'running';
  state.lag = START_S + (switches ? NEEDLE_SWITCH_S : 0);
  if (state.stitch === 0 && !state.ending) {
    const stop = stopAt(state);
    const key = String(state.at);
    state.passes[key] = (state.passes[key] ?? 0) + 1;
    state.reached = 0;
    state.spent = 0;
    told.say('stop-began', `Stop ${stop?.number ?? '?'}, ${stop?.thread ?? ''}`);
  }
}

/**
 * Lets time pass. However it is cut into pieces, the machine comes out the same.
 *
 * @param before is left as it was
 * @param seconds of machine time
 *
 * @example
 * advance(startedTab, 22).events.map(({ type }) => type) // ['stop-ended', 'halted']
 */
export function advance(
  before: MachineState,
  seconds: number
): { state: MachineState; events: MachineEvent[] } {
  const told = new Told(structuredClone(before));
  const { state } = told;
  let left = seconds;
  while (state.phase === 'running' && left > SAME) {
    const passed = Math.min(left, untilNext(state));
    pass(state, passed);
    left -= passed;
    settle(told);
  }
  if (state.phase !== 'running') state.clock += left;
  return { state, events: told.events };
}

const secondsPerStitch = (state: MachineState): number =>
  60 / Math.min(state.setup.spm, stopAt(state)?.cap ?? Infinity);

/** Bobbin thread a stitch takes, m. */
function bobbinPerStitch(state: MachineState): number {
  const stop = stopAt(state);
  return stop ? stop.bobbinMetres / stop.stitches : 0;
}

/** The stitch at which something happens next: a fault, the bobbin’s end, the stop’s end. */
function nextStitch(state: MachineState): {
  stitch: number;
  what: 'end' | 'bobbin' | 'fault';
  head: number;
  kind: 'thread-broke' | 'nest';
} {
  const stop = stopAt(state);
  const end = stop?.stitches ?? 0;
  const takes = bobbinPerStitch(state);
  const empty = takes > 0 ? state.stitch + state.bobbin / takes : Infinity;
  const fault = nextFault(state);
  const at = fault?.stitch ?? Infinity;
  const { head = 1, kind = 'thread-broke' } = fault ?? {};
  if (at < end && at <= empty) return { stitch: at, what: 'fault', head, kind };
  if (empty < end - SAME) return { stitch: empty, what: 'bobbin', head, kind };
  return { stitch: end, what: 'end', head, kind };
}

function untilNext(state: MachineState): number {
  if (state.lag > SAME) return state.lag;
  return Math.max(0, nextStitch(state).stitch - state.stitch) * secondsPerStitch(state);
}

function pass(state: MachineState, seconds: number): void {
  state.clock += seconds;
  state.spent += seconds;
  if (state.lag > SAME) {
    state.lag = Math.max(0, state.lag - seconds);
    return;
  }
  const stitches = seconds / secondsPerStitch(state);
  state.stitch += stitches;
  state.bobbin = Math.max(0, state.bobbin - stitches * bobbinPerStitch(state));
}

/** What is due at this very moment. */
function settle(told: Told): void {
  const { state } = told;
  if (state.lag > SAME) return;
  state.lag = 0;
  if (state.ending) {
    endStop(told);
    return;
  }
  const next = nextStitch(state);
  if (next.stitch - state.stitch > SAME) {
    state.reached = Math.max(state.reached, state.stitch);
    return;
  }
  state.stitch = Math.round(next.stitch);
  if (next.what === 'end') {
    state.ending = true;
    state.lag = HALT_S + (state.setup.trimmer ? TRIM_S : 0);
    return;
  }
  const kind = next.what === 'bobbin' ? 'bobbin-out' : next.kind;
  state.reached = Math.max(state.reached, next.stitch);
  if (kind === 'bobbin-out') state.bobbin = 0;
  const needle = stopAt(state)?.needle ?? 1;
  state.phase = 'fault';
  state.fault = { kind, head: next.head, needle };
  const where = state.setup.heads > 1 ? `, head ${next.head}; all heads halt` : '';
  const words = {
    'thread-broke': 'Upper thread broke',
    'bobbin-out': 'Bobbin empty',
    nest: 'Thread caught underneath'
  };
  told.say('fault', `${words[kind]}${where}`, { fault: kind, head: next.head });
}

function endStop(told: Told): void {
  const { state } = told;
  const stop = stopAt(state);
  const following = state.job?.stops[state.at + 1];
  state.ending = false;
  told.say('stop-ended', `Stop ${stop?.number ?? '?'} done`, { seconds: state.spent });
  if (!following) {
    state.phase = 'finished';
    told.say('finished', 'The design is done');
    return;
  }
  state.at += 1;
  state.stitch = 0;
  state.reached = 0;
  state.spent = 0;
  if (state.setup.needles === 1 || state.setup.haltEveryStop || stop?.halt) {
    state.phase = 'halted';
    told.say('halted', `Halted before stop ${following.number}`);
    return;
  }
  const switches = following.needle !== stop?.needle;
  if (switches) told.say('needle', `Needle ${following.needle}`);
  if (state.threads[following.needle - 1] === null) {
    state.phase = 'halted';
    told.say('halted', `Needle ${following.needle} has no thread`);
    return;
  }
  run(told, switches);
}
