import { fitIn, type Span } from './calendar';
import { Floor } from './floor';
import { presenceOf } from './presence';
import type { Problem, Schedule } from './problem';
import type { Segment } from './work';

/** What is decided before a schedule is worked out. */
export interface Decisions {
  /** Indices of jobs, in order, for each machine. */
  queues: readonly (readonly number[])[];
  /** How readily hands wait for a machine that is about to need them, instead of beginning something longer: 0 to 1. */
  patience: number;
  /** What makes a task of a job more urgent (below 0) or less, by `job * 5 + urgency`; as they come where missing. */
  bias?: Float64Array;
}

/** The lower, the sooner, among what could begin at the same time. */
const URGENCY = { machine: 0, idleLoad: 1, off: 2, load: 3, table: 4 } as const;

/** How many kinds of tasks there are. */
export const URGENCIES = 5;

/** What counts as the same time, s. */
const SAME_S = 1e-6;

/** Something hands could do next. Plain numbers: thousands of schedules are worked out in a search. */
interface Candidate {
  what: 'goOn' | 'putOn' | 'load' | 'free' | 'table';
  urgency: number;
  /** Urgency with the bias of its job. */
  rank: number;
  ready: number;
  seconds: number;
  /** Left to do on the machine from there; more is more urgent. */
  tail: number;
  machine: number;
  job: number;
  /** Which hoop to free, or which work at the table. */
  at: number;
}

/**
 * Works a schedule out: machine by machine in the order of their queues, hands going to whatever can begin first. Where
 * several things can, a waiting machine comes first, then loading for an idle one, freeing a hoop, loading ahead, and the
 * table last. One hoop a machine is loaded ahead, where a hoop is free.
 *
 * @param record whether the tasks are kept; a search does without
 *
 * @example
 * decode(oneHoopingOf(300, 1500, 120), { queues: [[0]], patience: 0 }).worked // 1920
 */
export function decode(problem: Problem, { queues, patience, bias }: Decisions, record = false): Schedule {
  const floor = new Floor(problem, queues, record);
  const people = new Array<number>(problem.people).fill(problem.start);
  const hands: Span[] = [];
  for (;;) {
    const free = Math.min(...people);
    const person = people.indexOf(free);
    const chosen = choose(candidates(floor, bias), free, floor, patience);
    if (!chosen) break;
    const span = fitIn(hoursFor(floor, chosen), Math.max(free, chosen.ready), chosen.seconds);
    people[person] = span.to;
    hands.push(span);
    floor.worked = Math.max(floor.worked, span.to);
    perform(floor, chosen, span, person);
  }
  const { worked, stitched, setUps, bobbins, spools, tasks, table } = floor;
  const presence = presenceOf(hands).reduce((sum, { from, to }) => sum + to - from, 0);
  return {
    finish: Math.max(worked, table.waited),
    worked,
    stitched,
    presence,
    setUps,
    bobbins,
    spools,
    tasks
  };
}

/** Hours of hands at a machine, or at the table. */
function hoursFor({ hours, problem }: Floor, { machine, what }: Candidate): readonly Span[] {
  return (what === 'load' ? undefined : hours[machine]?.hands) ?? problem.calendar.hands;
}

function perform(floor: Floor, { what, machine, job, at }: Candidate, span: Span, person: number): void {
  if (what === 'goOn') floor.goOn(machine, span, person);
  else if (what === 'putOn') floor.putOn(machine, job, span, person);
  else if (what === 'load') floor.load(machine, job, span, person);
  else if (what === 'free') floor.free(at, span, person);
  else floor.atTable(at, span, person);
}

function candidates(floor: Floor, bias: Float64Array | undefined): Candidate[] {
  const found: Candidate[] = [];
  const add = (
    what: Candidate['what'],
    urgency: number,
    ready: number,
    seconds: number,
    machine: number,
    job: number,
    at: number,
    tail: number
  ): void => {
    const rank = urgency + (job < 0 ? 0 : (bias?.[job * URGENCIES + urgency] ?? 0));
    found.push({ what, urgency, rank, ready, seconds, tail, machine, job, at });
  };
  for (let machine = 0; machine < floor.machines.length; machine++) {
    const state = floor.machines[machine];
    if (!state) continue;
    const { job, loaded, segment } = state;
    if (job >= 0) {
      const { segments } = floor.times(job, machine);
      const seconds = segments[segment]?.seconds ?? 0;
      add('goOn', URGENCY.machine, state.ready, seconds, machine, job, 0, tailOf(segments, segment));
    } else if (loaded >= 0) {
      const ready = floor.beforeAway(machine, loaded, Math.max(state.ready, state.loadedAt));
      const tail = tailOf(floor.times(loaded, machine).segments, 0);
      add('putOn', URGENCY.machine, ready, floor.putOnSeconds(machine, loaded), machine, loaded, 0, tail);
    }
    const next = loaded < 0 ? floor.nextToLoad(machine) : null;
    if (!next || next.ready === Infinity) continue;
    const { load, segments } = floor.times(next.job, machine);
    const urgency = job < 0 ? URGENCY.idleLoad : URGENCY.load;
    add('load', urgency, next.ready, load, machine, next.job, 0, tailOf(segments, 0));
  }
  for (let at = 0; at < floor.offs.length; at++) {
    const off = floor.offs[at];
    if (off) add('free', URGENCY.off, off.ready, floor.times(off.job, off.machine).off, -1, off.job, at, 0);
  }
  for (let at = 0; at < floor.table.tasks.length; at++) {
    const task = floor.table.tasks[at];
    const next = task?.work[task.at];
    // Finishing is taken up copy by copy, so that a machine need not wait for all of them.
    if (task && next)
      add('table', URGENCY.table, task.ready, next.seconds / next.times, -1, task.job ?? -1, at, 0);
  }
  return found;
}

/** Time left on the machine from each segment on; worked out once for each hooping. */
const tails = new WeakMap<readonly Segment[], Float64Array>();

function tailOf(segments: readonly Segment[], from: number): number {
  let known = tails.get(segments);
  if (!known) {
    known = new Float64Array(segments.length + 1);
    for (let at = segments.length - 1; at >= 0; at--)
      known[at] = (known[at + 1] ?? 0) + (segments[at]?.seconds ?? 0);
    tails.set(segments, known);
  }
  return known[from] ?? 0;
}

function choose(all: readonly Candidate[], free: number, floor: Floor, patience: number): Candidate | null {
  let best: Candidate | null = null;
  let bestFrom = Infinity;
  for (const each of all) {
    const ready = Math.max(free, each.ready);
    // What cannot begin before the best can is not asked when it could.
    if (ready > bestFrom + SAME_S) continue;
    const { from } = fitIn(hoursFor(floor, each), ready, each.seconds);
    const later = from - bestFrom;
    const before =
      !best ||
      later < -SAME_S ||
      (later <= SAME_S && (each.rank < best.rank || (each.rank === best.rank && each.tail > best.tail)));
    if (before) [best, bestFrom] = [each, from];
  }
  if (!best || best.urgency <= URGENCY.idleLoad || patience === 0) return best;
  // A machine that is about to stand is waited for, where what could be done now would keep it long.
  let awaited: Candidate | null = null;
  for (const each of all)
    if (each.urgency === URGENCY.machine && each.ready - bestFrom < patience * best.seconds)
      if (!awaited || each.ready < awaited.ready) awaited = each;
  return awaited ?? best;
}
