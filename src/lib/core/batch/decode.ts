import { fitIn, type Span } from './calendar';
import { Floor } from './floor';
import { presenceOf } from './presence';
import type { Problem, Schedule } from './problem';

/** What is decided before a schedule is worked out. */
export interface Decisions {
  /** Indices of jobs, in order, for each machine. */
  queues: readonly (readonly number[])[];
  /** How readily hands wait for a machine that is about to need them, instead of beginning something longer: 0 to 1. */
  patience: number;
}

/** The lower, the sooner, among what could begin at the same time. */
const URGENCY = { machine: 0, idleLoad: 1, off: 2, load: 3, table: 4 } as const;

/** What counts as the same time, s. */
const SAME_S = 1e-6;

/** Something hands could do next. */
interface Candidate {
  urgency: number;
  ready: number;
  seconds: number;
  /** Left to do on the machine from there; more is more urgent. */
  tail: number;
  perform: (span: Span, person: number) => void;
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
export function decode(problem: Problem, { queues, patience }: Decisions, record = false): Schedule {
  const floor = new Floor(problem, queues, record);
  const people = new Array<number>(problem.people).fill(problem.start);
  const hands: Span[] = [];
  for (;;) {
    const free = Math.min(...people);
    const person = people.indexOf(free);
    const chosen = choose(candidates(floor), free, problem, patience);
    if (!chosen) break;
    const span = fitIn(problem.calendar.hands, Math.max(free, chosen.ready), chosen.seconds);
    people[person] = span.to;
    hands.push(span);
    floor.worked = Math.max(floor.worked, span.to);
    chosen.perform(span, person);
  }
  const { worked, setUps, bobbins, spools, tasks, table } = floor;
  const presence = presenceOf(hands).reduce((sum, { from, to }) => sum + to - from, 0);
  return { finish: Math.max(worked, table.waited), worked, presence, setUps, bobbins, spools, tasks };
}

function candidates(floor: Floor): Candidate[] {
  const found: Candidate[] = [];
  floor.machines.forEach((state, machine) => {
    const { job, loaded, segment } = state;
    if (job >= 0) {
      const { segments } = floor.times(job, machine);
      found.push({
        urgency: URGENCY.machine,
        ready: state.ready,
        seconds: segments[segment]?.seconds ?? 0,
        tail: tailOf(segments, segment),
        perform: (span, person) => floor.goOn(machine, span, person)
      });
    } else if (loaded >= 0)
      found.push({
        urgency: URGENCY.machine,
        ready: Math.max(state.ready, state.loadedAt),
        seconds: floor.putOnSeconds(machine, loaded),
        tail: tailOf(floor.times(loaded, machine).segments, 0),
        perform: (span, person) => floor.putOn(machine, loaded, span, person)
      });
    const next = loaded < 0 ? floor.nextToLoad(machine) : null;
    if (!next || next.ready === Infinity) return;
    const times = floor.times(next.job, machine);
    found.push({
      urgency: job < 0 ? URGENCY.idleLoad : URGENCY.load,
      ready: next.ready,
      seconds: times.load,
      tail: tailOf(times.segments, 0),
      perform: (span, person) => floor.load(machine, next.job, span, person)
    });
  });
  for (const off of floor.offs)
    found.push({
      urgency: URGENCY.off,
      ready: off.ready,
      seconds: floor.times(off.job, off.machine).off,
      tail: 0,
      perform: (span, person) => floor.free(off, span, person)
    });
  for (const task of floor.table.tasks) {
    const next = task.work[task.at];
    found.push({
      urgency: URGENCY.table,
      ready: task.ready,
      // Finishing is taken up copy by copy, so that a machine need not wait for all of them.
      seconds: next ? next.seconds / next.times : 0,
      tail: 0,
      perform: (span, person) => floor.atTable(task, span, person)
    });
  }
  return found;
}

function tailOf(segments: readonly { seconds: number }[], from: number): number {
  let sum = 0;
  for (let at = from; at < segments.length; at++) sum += segments[at]?.seconds ?? 0;
  return sum;
}

function choose(
  all: readonly Candidate[],
  free: number,
  { calendar }: Problem,
  patience: number
): Candidate | null {
  let best: Candidate | null = null;
  let bestFrom = Infinity;
  for (const each of all) {
    const { from } = fitIn(calendar.hands, Math.max(free, each.ready), each.seconds);
    const later = from - bestFrom;
    const before =
      !best ||
      later < -SAME_S ||
      (later <= SAME_S &&
        (each.urgency < best.urgency || (each.urgency === best.urgency && each.tail > best.tail)));
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
