import { seeded } from '$lib/core/base/units';
import { type Bound, lowerBound } from './bound';
import { type Decisions, decode, URGENCIES } from './decode';
import type { JobTimes, Problem, Schedule } from './problem';
import { machineSeconds, tableSeconds } from './work';

export interface ScheduleSearchOptions {
  /** Schedules that are worked out at most. */
  rounds?: number;
  seed?: number;
  /** Called with each better one. */
  onBetter?: (decisions: Decisions, schedule: Schedule) => void;
  stop?: () => boolean;
}

/** The best schedule found, the decisions behind it, and what nothing can beat. */
export interface Found {
  decisions: Decisions;
  schedule: Schedule;
  bound: Bound;
}

const ROUNDS = 2500;
/** A schedule takes time by the square of its hoopings: so many rounds times that are worked out at most. */
const MOST_WORK = 2_500_000;
const PATIENCE = [0, 0.3, 0.7, 1] as const;
/** Near enough to the bound to stop looking. */
const CLOSE = 1.0005;

/**
 * What a schedule is worth, in seconds: the finish first, then the end of the work and of what goes before the
 * washing, then time somebody must be there, then set-ups; the later ones decide among schedules that are nearly as early.
 */
export function worth({ finish, worked, stitched, presence, setUps, bobbins }: Schedule): number {
  return finish + 0.5 * worked + 0.3 * stitched + 0.02 * presence + 10 * setUps + 2 * bobbins;
}

/**
 * Looks for the best schedule: jobs are shared out by what each machine takes for them, kinds kept together, then moved,
 * swapped and reversed as long as that helps (simulated annealing over the queues of the machines).
 *
 * @example
 * searchSchedule(problem, { rounds: 500 }).schedule.worked
 */
export function searchSchedule(
  problem: Problem,
  { rounds = ROUNDS, seed = 1, onBetter, stop }: ScheduleSearchOptions = {}
): Found {
  const random = seeded(seed);
  const bound = lowerBound(problem);
  const starts = [...PATIENCE].flatMap((patience) =>
    firstQueues(problem).map((queues) => ({ queues, patience }))
  );
  let current: Decisions = starts[0] ?? { queues: problem.stations.map(() => []), patience: 0 };
  let here = Infinity;
  let best = { decisions: current, value: Infinity };
  const accept = (decisions: Decisions, schedule: Schedule, value: number): void => {
    [current, here] = [decisions, value];
    if (value >= best.value - 1e-6) return;
    best = { decisions, value };
    onBetter?.(decisions, schedule);
  };
  for (const decisions of starts) {
    const schedule = decode(problem, decisions);
    const value = worth(schedule);
    if (value < here) accept(decisions, schedule, value);
  }
  const heat = 0.01 * (here - 1.8 * problem.start);
  const most = Math.min(rounds, Math.floor(MOST_WORK / Math.max(1, problem.jobs.length) ** 2));
  let since = 0;
  for (let round = 0; round < most && !stop?.(); round++) {
    const decisions = moved(current, problem, random);
    if (!decisions) continue;
    const schedule = decode(problem, decisions);
    const value = worth(schedule);
    const cool = heat * (1 - round / most) ** 2;
    if (value <= here || random() < Math.exp((here - value) / Math.max(cool, 1e-6)))
      accept(decisions, schedule, value);
    since = value < best.value - 1e-6 ? 0 : since + 1;
    // Wandering off too long, it goes on from the best.
    if (since > most / 8) {
      [current, here, since] = [best.decisions, best.value, 0];
      if (provenBest(decode(problem, best.decisions), bound, problem)) break;
    }
  }
  return { decisions: best.decisions, schedule: decode(problem, best.decisions, true), bound };
}

function provenBest({ finish, worked }: Schedule, bound: Bound, { start }: Problem): boolean {
  const near = (value: number, least: number): boolean => value - start <= (least - start) * CLOSE;
  return near(finish, bound.finish) && near(worked, bound.worked);
}

/** Time of a job on a machine, and at the table, s. */
const takes = (times: JobTimes): number =>
  times.load + machineSeconds(times) + times.off + tableSeconds(times.finish);

/** Jobs shared out so that machines end at about the same time: the longest first, or kind by kind. */
function firstQueues({ jobs, stations }: Problem): number[][][] {
  const waits = ({ on }: Problem['jobs'][number]): number =>
    Math.max(
      0,
      ...on.map((times) =>
        times
          ? [...times.finish, ...times.wash].reduce(
              (sum, { kind, seconds }) => sum + (kind === 'wait' ? seconds : 0),
              0
            )
          : 0
      )
    );
  const longest = ({ on }: Problem['jobs'][number]): number =>
    Math.max(0, ...on.map((times) => (times ? takes(times) : 0)));
  const all = jobs.map((_, at) => at).filter((at) => jobs[at]?.begun === null);
  const key = (at: number): Problem['jobs'][number] | undefined => jobs[at];
  const depth = (at: number): number => (key(at)?.after.length ? 1 : 0);
  const byWait = (a: number, b: number): number => {
    const [x, y] = [key(a), key(b)];
    return x && y ? waits(y) - waits(x) : 0;
  };
  const orders = [
    all.toSorted((a, b) => {
      const [x, y] = [key(a), key(b)];
      return depth(a) - depth(b) || byWait(a, b) || (x && y ? longest(y) - longest(x) : 0);
    }),
    all.toSorted((a, b) => {
      const [x, y] = [key(a), key(b)];
      return depth(a) - depth(b) || byWait(a, b) || (x?.kind ?? '').localeCompare(y?.kind ?? '') || a - b;
    })
  ];
  return orders.map((order) => {
    const queues = stations.map((): number[] => []);
    const load = stations.map(() => 0);
    for (const at of order) {
      let chosen = -1;
      let least = Infinity;
      stations.forEach((_, machine) => {
        const times = jobs[at]?.on[machine];
        const last = queues[machine]?.at(-1);
        if (!times) return;
        const sameKind = last !== undefined && jobs[last]?.kind === jobs[at]?.kind;
        const end = (load[machine] ?? 0) + takes(times) + (sameKind ? 0 : times.setUp);
        if (end < least) [least, chosen] = [end, machine];
      });
      if (chosen < 0) continue;
      queues[chosen]?.push(at);
      load[chosen] = least;
    }
    return queues.map((queue) => kindsTogether(queue, jobs));
  });
}

/** The same jobs with those of one kind next to each other, in the order in which the kinds first come. */
function kindsTogether(queue: readonly number[], jobs: Problem['jobs']): number[] {
  const groups = new Map<string, number[]>();
  for (const at of queue) {
    const kind = jobs[at]?.kind ?? '';
    groups.set(kind, [...(groups.get(kind) ?? []), at]);
  }
  return [...groups.values()].flat();
}

/** A neighbour: a job moved, two swapped, a stretch reversed, a task sooner or later, other patience; null where that cannot be. */
function moved(current: Decisions, { jobs }: Problem, random: () => number): Decisions | null {
  const { queues } = current;
  const pick = (count: number): number => Math.floor(random() * count);
  const next = queues.map((queue) => [...queue]);
  const filled = next.flatMap((queue, at) => (queue.length > 0 ? [at] : []));
  const from = filled[pick(filled.length)];
  const queue = from === undefined ? undefined : next[from];
  if (from === undefined || !queue) return null;
  const kind = random();
  if (kind < 0.08) return { ...current, patience: PATIENCE[pick(PATIENCE.length)] ?? 0 };
  if (kind < 0.35) {
    // Another task of a job becomes more or less urgent than its kind is.
    const bias = current.bias?.slice() ?? new Float64Array(jobs.length * URGENCIES);
    bias[pick(bias.length)] = random() < 0.3 ? 0 : (random() - 0.5) * 2 * URGENCIES;
    return { ...current, bias };
  }
  const index = pick(queue.length);
  const job = queue[index];
  if (job === undefined) return null;
  if (kind < 0.6) {
    const to = pick(next.length);
    const target = next[to];
    if (!target || !jobs[job]?.on[to]) return null;
    queue.splice(index, 1);
    target.splice(pick(target.length + 1), 0, job);
    return { ...current, queues: next };
  }
  if (kind < 0.9) {
    const other = filled[pick(filled.length)];
    const second = other === undefined ? undefined : next[other];
    if (other === undefined || !second) return null;
    const at = pick(second.length);
    const swapped = second[at];
    if (swapped === undefined || !jobs[swapped]?.on[from] || !jobs[job]?.on[other]) return null;
    queue[index] = swapped;
    second[at] = job;
    return { ...current, queues: next };
  }
  const end = index + 1 + pick(queue.length - index);
  next[from] = [...queue.slice(0, index), ...queue.slice(index, end).reverse(), ...queue.slice(end)];
  return { ...current, queues: next };
}
