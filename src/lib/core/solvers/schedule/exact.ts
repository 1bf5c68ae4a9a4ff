import type { Bound } from './bound';
import { openAfter } from './calendar';
import type { JobTimes, Problem, Schedule } from './problem';

/** The most places looked at before a search is given up. */
const MOST = 60_000;

interface Place {
  /** Hand tasks done of each job: load, each of its own on the machine, off, and its finishing in pieces. */
  done: number[];
  machine: number[];
  /** When the next task of each job can begin. */
  ready: number[];
  free: number[];
  kind: (string | null)[];
  person: number;
  worked: number;
}

/**
 * The earliest end of hands and needle over every order in which one person could do the hand tasks and every machine a
 * hooping could go on; hoops are taken to be plenty and the bench to be always open. Null where that takes too long.
 *
 * @param known an end that is known to be possible; only earlier ones are looked for
 */
export function exactSchedule({ jobs, stations, start }: Problem, known: number): number | null {
  const tasksOf = jobs.map(({ on }) => on.map((times) => (times ? handTasks(times) : null)));
  const lengthOf = tasksOf.map((each) => each.find((tasks) => tasks !== null)?.length ?? 0);
  let best = known;
  let looked = 0;
  const seen = new Map<string, number[][]>();

  function search(place: Place): void {
    if (looked++ > MOST) return;
    if (place.done.every((count, at) => count === lengthOf[at])) {
      best = Math.min(best, place.worked);
      return;
    }
    const left = jobs.reduce((sum, _, at) => {
      const tasks = tasksOf[at]?.filter((each) => each !== null) ?? [];
      const least = Math.min(
        ...tasks.map((own) => own.slice(place.done[at]).reduce((all, each) => all + each.hands, 0))
      );
      return sum + least;
    }, 0);
    if (Math.max(place.worked, place.person + left) >= best - 1e-6) return;
    for (let at = 0; at < jobs.length; at++) {
      const own = place.machine[at] ?? -1;
      const tasks = tasksOf[at]?.[own] ?? tasksOf[at]?.find((each) => each !== null) ?? [];
      const rest = tasks.slice(place.done[at]).reduce((sum, each) => sum + each.hands + each.needle, 0);
      const first = tasks[place.done[at] ?? 0];
      if (first && Math.max(place.person, place.ready[at] ?? 0) + rest * (own < 0 ? 0 : 1) >= best - 1e-6)
        return;
    }
    const key = `${place.done.join()}|${place.machine.join()}|${place.kind.join()}`;
    const state = [place.person, place.worked, ...place.ready, ...place.free];
    const before = seen.get(key) ?? [];
    if (before.some((other) => other.every((value, at) => value <= (state[at] ?? 0) + 1e-9))) return;
    if (before.length < 40) seen.set(key, [...before, state]);
    jobs.forEach((own, at) => {
      const count = place.done[at] ?? 0;
      if (count === lengthOf[at]) return;
      const choices = count === 1 ? stations.map((_, machine) => machine) : [place.machine[at] ?? -1];
      for (const machine of choices) {
        const tasks =
          machine < 0
            ? (tasksOf[at]?.find((each) => each !== null) ?? null)
            : (tasksOf[at]?.[machine] ?? null);
        const task = tasks?.[count];
        if (!task) continue;
        const next: Place = {
          done: place.done.with(at, count + 1),
          machine: place.machine.with(at, machine),
          ready: [...place.ready],
          free: [...place.free],
          kind: [...place.kind],
          person: 0,
          worked: 0
        };
        let from = Math.max(place.person, place.ready[at] ?? 0);
        let seconds = task.hands;
        if (count === 1) {
          from = Math.max(from, place.free[machine] ?? 0);
          if (place.kind[machine] !== own.kind) seconds += own.on[machine]?.setUp ?? 0;
          next.kind[machine] = own.leaves ?? own.kind;
          next.free[machine] = Infinity;
        }
        if (from === Infinity) continue;
        next.person = from + seconds;
        next.ready[at] = from + seconds + task.needle;
        if (task.frees) next.free[machine] = next.ready[at] ?? 0;
        next.worked = Math.max(place.worked, next.ready[at] ?? 0);
        search(next);
      }
    });
  }

  search({
    done: jobs.map(() => 0),
    machine: jobs.map(() => -1),
    ready: jobs.map(() => start),
    free: stations.map(() => start),
    kind: stations.map(({ kind }) => kind),
    person: start,
    worked: start
  });
  return looked > MOST ? null : best;
}

/** Hands one after another, each with the needle that runs by itself after it. */
function handTasks({
  load,
  segments,
  off,
  finish
}: JobTimes): { hands: number; needle: number; frees: boolean }[] {
  const tasks = [{ hands: load, needle: 0, frees: false }];
  for (const { kind, seconds } of segments) {
    const last = tasks.at(-1);
    if (kind === 'needle' && last && tasks.length > 1) last.needle += seconds;
    else tasks.push({ hands: seconds, needle: 0, frees: false });
  }
  const last = tasks.at(-1);
  if (last) last.frees = true;
  tasks.push({ hands: off, needle: 0, frees: false });
  for (const { seconds, times } of finish)
    for (let at = 0; at < times; at++) tasks.push({ hands: seconds / times, needle: 0, frees: false });
  return tasks;
}

/** Orders of more hoopings or machines are not solved exactly: that would take hours. */
const MOST_JOBS = 4;
const MOST_MACHINES = 3;

/**
 * The bound of a small order made as high as it can be: by every order in which its hands could work. Only where one person
 * works, nothing is under way and nothing dries, since that is what can be gone through exactly.
 *
 * @param schedule the best that is known
 *
 * @example
 * tightened(twoHoopings, best, bound).worked === best.worked // true where no plan ends sooner
 */
export function tightened(problem: Problem, { worked }: Pick<Schedule, 'worked'>, bound: Bound): Bound {
  const { jobs, stations, people, calendar, start, table } = problem;
  const isSmall = jobs.length <= MOST_JOBS && stations.length <= MOST_MACHINES && people === 1;
  const isPlain =
    table.length === 0 &&
    jobs.every(
      ({ begun, wash, on }) =>
        begun === null &&
        wash === null &&
        on.every((times) => times === null || times.finish.every(({ kind }) => kind !== 'wait'))
    );
  if (!isSmall || !isPlain) return bound;
  const exact = exactSchedule(problem, worked);
  if (exact === null) return bound;
  // Hours of the bench only make it later.
  const least = Math.min(worked, openAfter(calendar.needle, start, exact - start));
  return {
    worked: Math.max(bound.worked, least),
    finish: Math.max(bound.finish, least)
  };
}
