import { openAfter } from './calendar';
import type { JobTimes, Problem, ScheduleJob } from './problem';
import { sharedOutSeconds } from './sharedOut';
import { washOf } from './washes';
import { handSeconds, machineSeconds, type Segment, tableSeconds } from './work';

/** Before when no schedule of some hoopings can be over, s from the midnight before the start. */
export interface Bound {
  /** The last hand or stitch; what only soaks or dries then is left out. */
  worked: number;
  /** Waiting included. */
  finish: number;
}

/** Steps of the search for the weights that give the highest bound. */
const ROUNDS = 60;

/**
 * When no schedule of some hoopings can be over before. Every machine and every pair of hands gets a weight, the weights
 * adding up to one; whoever stitches a hooping, at least the least weighted time of it is spent somewhere, and no time can
 * be shorter than the weighted mean of all that is spent (the dual of sharing hoopings out in fractions). Before its first
 * stitch each machine waits for hands to load it and those before it; after its last, for what is left to do. The longest
 * single hooping is a bound as well.
 *
 * @example
 * lowerBound(fourHoopingsOnTwoMachines).seconds // never above decode(…).worked
 */
export function lowerBound(problem: Problem): Bound {
  const { jobs, stations, people, start, calendar } = problem;
  const rows = jobs.map((job) => ({ job, costs: costsOf(job) }));
  const shared = sharedHands(problem);
  const single = rows.map(({ job, costs }) =>
    Math.min(...costs.flatMap((cost, machine) => (cost ? chainSeconds(job, machine) : [])))
  );
  const chain = Math.max(0, shared.hands / people, ...single.filter(Number.isFinite));
  const gaps = gapsOf(problem).map((gap) => Math.min(gap, chain));
  const value = (of: readonly number[]): number => {
    const total = of.reduce((sum, each) => sum + each, 0);
    const weights = of.map((each) => each / total);
    return weighted(rows, weights, people, shared) + idle(gaps, weights.slice(1));
  };
  const even = new Array<number>(stations.length + 1).fill(1);
  const seconds = Math.max(
    chain,
    climb(value, even),
    sharedOutSeconds(problem, shared.hands, kindsGiven(problem))
  );
  const worked = Math.max(
    openAfter(calendar.needle, start, seconds),
    ...jobs.map((_, at) => chainEnd(at, problem, false))
  );
  return { worked, finish: Math.max(worked, ...jobs.map((_, at) => chainEnd(at, problem, true))) };
}

/** Kinds that may need no set-up: a machine stands set up for them, or is left so by what ends with them. */
function kindsGiven({ stations, jobs }: Pick<Problem, 'stations' | 'jobs'>): Set<string | null | undefined> {
  return new Set([
    ...stations.map(({ kind }) => kind),
    ...jobs.map(({ kind, leaves, begun }) => (begun === null ? leaves : (leaves ?? kind)))
  ]);
}

/** The best value found from some weights, one weight at a time made larger or smaller. */
function climb(value: (weights: readonly number[]) => number, from: readonly number[]): number {
  let best = -Infinity;
  const ones = from.map((_, at) => from.map((__, other) => (other === at ? 1 : 0)));
  for (const begin of [from, from.map((each, at) => (at === 0 ? 0 : each)), ...ones]) {
    let weights = [...begin];
    let here = value(weights);
    let step = 0.5;
    for (let round = 0; round < ROUNDS && step > 0.002; round++) {
      let better = false;
      for (let at = 0; at < weights.length; at++)
        for (const factor of [1 + step, 1 / (1 + step)]) {
          const tried = weights.map((each, other) => (other === at ? Math.max(each, 0.001) * factor : each));
          const found = value(tried);
          if (found > here + 1e-9) [weights, here, better] = [tried, found, true];
        }
      if (!better) step /= 2;
    }
    best = Math.max(best, here);
  }
  return best;
}

/** Time on a machine and time of hands that a job takes on each machine. */
type Costs = readonly ({ machine: number; hands: number } | null)[];

function costsOf({ on, begun }: ScheduleJob): Costs {
  return on.map((times, machine) =>
    times && (begun === null || begun === machine)
      ? { machine: machineSeconds(times), hands: handSeconds(times) }
      : null
  );
}

/** Hands that no single hooping has for itself: set-ups, washing, what is on the table already. */
function sharedHands(problem: Problem): { hands: number; setUps: (number | null)[][] } {
  const { jobs, table } = problem;
  const kinds = new Map<string, (number | null)[]>();
  const given = kindsGiven(problem);
  for (const { kind, on } of jobs) {
    if (given.has(kind)) continue;
    const before = kinds.get(kind);
    kinds.set(
      kind,
      on.map((times, at) => {
        const known = before?.[at] ?? null;
        return times ? Math.min(times.setUp, known ?? Infinity) : known;
      })
    );
  }
  const washes = new Map<string, number>();
  for (const job of jobs)
    if (job.wash !== null)
      washes.set(job.wash, Math.max(washes.get(job.wash) ?? 0, tableSeconds(washOf(job))));
  return {
    hands:
      [...washes.values()].reduce((total, each) => total + each, 0) +
      table.reduce((total, { work }) => total + tableSeconds(work), 0),
    setUps: [...kinds.values()]
  };
}

/** The bound of some weights: the first for hands, the others for the machines. */
function weighted(
  rows: readonly { job: ScheduleJob; costs: Costs }[],
  weights: readonly number[],
  people: number,
  shared: ReturnType<typeof sharedHands>
): number {
  const hands = (weights[0] ?? 0) / people;
  const least = (costs: Costs): number => {
    let best = Infinity;
    costs.forEach((cost, at) => {
      if (cost) best = Math.min(best, (weights[at + 1] ?? 0) * cost.machine + hands * cost.hands);
    });
    return best === Infinity ? 0 : best;
  };
  let sum = hands * shared.hands;
  for (const { costs } of rows) sum += least(costs);
  for (const setUps of shared.setUps)
    sum += least(setUps.map((seconds) => (seconds === null ? null : { machine: seconds, hands: seconds })));
  return sum;
}

/**
 * How long the first machine to start stands before its first stitch and after its last, the second, and so on, however
 * things are ordered: hands load one hooping after another, and free one after another. A machine that is not used stands
 * all the time, so no gap may be larger than a bound known already.
 */
function gapsOf({ jobs, stations, people }: Problem): number[] {
  // Each hooping as it is quickest on any machine, so that one hooping is counted once.
  const byJob = (value: (times: JobTimes, begun: boolean) => number): number[] =>
    jobs
      .map(({ on, begun }) =>
        Math.min(
          ...on.flatMap((each, machine) =>
            each && (begun === null || begun === machine) ? value(each, begun !== null) : []
          )
        )
      )
      .sort((a, b) => a - b);
  const handsIn = (segment: Segment | undefined): number =>
    segment && segment.kind !== 'needle' ? segment.seconds : 0;
  const loads = byJob(({ load }, begun) => (begun ? 0 : load));
  const firsts = byJob(({ segments }, begun) => (begun ? 0 : handsIn(segments[0])));
  const lasts = byJob(({ segments }) => handsIn(segments.at(-1)));
  const ends = byJob((each) => each.off + tableSeconds(each.finish));
  const sumOf = (values: readonly number[], count: number): number =>
    values.slice(0, Math.max(0, count)).reduce((sum, value) => sum + value, 0);
  return stations.map((_, at) => {
    const turn = Math.ceil((at + 1) / people);
    const alone = people === 1 ? at : 0;
    return sumOf(loads, turn) + sumOf(firsts, alone) + sumOf(ends, turn) + sumOf(lasts, alone);
  });
}

/** Weighted standing of the machines; the longest falls to the machine with the least weight. */
function idle(gaps: readonly number[], weights: readonly number[]): number {
  return weights.toSorted((a, b) => b - a).reduce((sum, weight, at) => sum + weight * (gaps[at] ?? 0), 0);
}

/** Hands and needle of one hooping, one after another, s. */
function chainSeconds({ on, begun }: ScheduleJob, machine: number): number {
  const times = on[machine];
  if (!times) return 0;
  return (begun === null ? times.load : 0) + machineSeconds(times) + times.off + tableSeconds(times.finish);
}

/**
 * When at the earliest a job is done that has the workroom for itself, s from the midnight before.
 *
 * @param whole with its washing and every wait; else up to the last hands before that
 */
function chainEnd(at: number, problem: Problem, whole: boolean): number {
  const { jobs, start, calendar } = problem;
  const job = jobs[at];
  if (!job) return start;
  const begin = Math.max(start, ...job.after.map((before) => chainEnd(before, problem, true)));
  const ends = job.on.flatMap((times, machine) => {
    if (!times || (job.begun !== null && job.begun !== machine)) return [];
    const work = whole ? [...times.finish, ...times.wash] : times.finish;
    const last = whole ? work.length : work.findLastIndex(({ kind }) => kind === 'hands') + 1;
    const off = openAfter(
      calendar.needle,
      begin,
      (job.begun === null ? times.load : 0) + machineSeconds(times) + times.off
    );
    return work
      .slice(0, last)
      .reduce(
        (end, { kind, seconds }) =>
          kind === 'wait' ? end + seconds : openAfter(calendar.needle, end, seconds),
        off
      );
  });
  return ends.length > 0 ? Math.min(...ends) : begin;
}
