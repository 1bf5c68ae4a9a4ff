import type { JobTimes, Problem, ScheduleJob } from './problem';
import { handSeconds, machineSeconds, type Segment, tableSeconds } from './work';

/** Ways to share hoopings out that are looked at, at most; where there are more, fractions come close enough. */
const MOST_WAYS = 20_000;

/** What one hooping of a group takes on one machine, s. */
interface Cost {
  machine: number;
  hands: number;
  setUp: number;
  /** Hands before its first stitch: loading, and the first on the machine. */
  load: number;
  first: number;
  /** Hands after its last stitch: the last on the machine, then taking out and finishing. */
  last: number;
  finish: number;
}

/** Hoopings that are alike, with what one of them takes on each machine. */
interface Group {
  count: number;
  on: readonly (Cost | null)[];
}

/** A machine with the hoopings it was given. */
interface Share {
  machine: number;
  hands: number;
  load: number;
  first: number;
  last: number;
  finish: number;
}

const NOTHING: Share = {
  ...{ machine: 0, hands: 0 },
  ...{ load: Infinity, first: Infinity, last: Infinity, finish: Infinity }
};

/**
 * Before when no schedule can be over that gives each hooping to one machine, s after the start: the least over every way to
 * share them out, of what its fullest machine and the hands need. With one pair of hands the machines begin and end one after
 * another. (Minimum makespan on unrelated machines by branch and bound; the order of the starts by Jackson’s rule.)
 *
 * @param shared hands that belong to no single hooping, s
 * @param given kinds that need no set-up
 * @returns 0 where there are too many ways
 *
 * @example
 * sharedOutSeconds(threeLikeHoopingsOfAnHour, 0, new Set()) // 7200 on two machines: one of them has two
 */
export function sharedOutSeconds(
  problem: Pick<Problem, 'jobs' | 'stations' | 'people'>,
  shared: number,
  given: ReadonlySet<string | null | undefined>
): number {
  const { people } = problem;
  const groups = groupsOf(problem, given);
  const leastHands = groups.map(
    ({ count, on }) => count * Math.min(...on.flatMap((cost) => cost?.hands ?? []))
  );
  /** Hands of the groups from one on, on whatever machine. */
  const handsFrom = groups.map((_, at) => leastHands.slice(at).reduce((sum, each) => sum + each, 0));
  /** Before the first and after the last on a machine, whatever it is given. */
  const beside = problem.stations.map((_, at) => {
    const own = groups.flatMap(({ on }) => on[at] ?? []);
    return Math.min(...own.map(({ load }) => load)) + Math.min(...own.map(({ finish }) => finish));
  });
  let best = Infinity;
  let ways = 0;

  /** Gives what is left of a group to the machines from one on. */
  function give(shares: readonly Share[], group: number, machine: number, left: number): void {
    if (ways++ > MOST_WAYS) return;
    const hands = shares.reduce((sum, share) => sum + share.hands, shared);
    if ((hands + (handsFrom[group + 1] ?? 0)) / people >= best) return;
    if (shares.some((share, at) => share.machine > 0 && share.machine + (beside[at] ?? 0) >= best)) return;
    const own = groups[group];
    if (!own) {
      best = Math.min(best, endOf(shares, hands, people));
      return;
    }
    if (left === 0) return give(shares, group + 1, 0, groups[group + 1]?.count ?? 0);
    if (machine === shares.length) return;
    const cost = own.on[machine];
    // The most first: a good way is found early, and cuts the others short.
    for (let count = cost ? left : 0; count >= 0; count--) {
      const share = shares[machine];
      const next = count > 0 && cost && share ? shares.with(machine, withCopies(share, cost, count)) : shares;
      give(next, group, machine + 1, left - count);
    }
  }
  give(
    problem.stations.map(() => NOTHING),
    0,
    0,
    groups[0]?.count ?? 0
  );
  return ways > MOST_WAYS || best === Infinity ? 0 : best;
}

function withCopies(share: Share, cost: Cost, count: number): Share {
  return {
    machine: share.machine + count * cost.machine + cost.setUp,
    hands: share.hands + count * cost.hands + cost.setUp,
    load: Math.min(share.load, cost.load),
    first: Math.min(share.first, cost.first + cost.setUp),
    last: Math.min(share.last, cost.last),
    finish: Math.min(share.finish, cost.finish)
  };
}

/** When at the earliest hoopings shared out like this are done. */
function endOf(shares: readonly Share[], hands: number, people: number): number {
  const used = shares.filter(({ machine }) => machine > 0);
  const alone = used.map(({ load, machine, finish }) => load + machine + finish);
  return Math.max(
    hands / people,
    ...alone,
    ...(people === 1 ? [startedInTurn(used), endedInTurn(used)] : [])
  );
}

/** One pair of hands loads and starts the machines one after another, the one with the most to do first. */
function startedInTurn(shares: readonly Share[]): number {
  const after = ({ machine, first, finish }: Share): number => machine - first + finish;
  let [begun, end] = [0, 0];
  for (const share of shares.toSorted((a, b) => after(b) - after(a))) {
    begun += share.load + share.first;
    end = Math.max(end, begun + after(share));
  }
  return end;
}

/** One pair of hands frees and finishes the last of each machine one after another, as they come. */
function endedInTurn(shares: readonly Share[]): number {
  const ready = ({ load, machine, last }: Share): number => load + machine - last;
  return shares
    .toSorted((a, b) => ready(a) - ready(b))
    .reduce((end, share) => Math.max(end, ready(share)) + share.last + share.finish, 0);
}

/** Hoopings with the same costs on every machine, those that take longest first. */
function groupsOf({ jobs }: Pick<Problem, 'jobs'>, given: ReadonlySet<string | null | undefined>): Group[] {
  const found = new Map<string, Group>();
  const kinds = new Map<string, string>();
  for (const job of jobs) {
    const on = job.on.map((times, machine) =>
      times && (job.begun === null || job.begun === machine) ? costOf(times, job, given) : null
    );
    if (on.every((cost) => cost === null)) continue;
    const key = `${job.kind} ${JSON.stringify(on)}`;
    // A kind is set up once on a machine, also where its hoopings are not all alike.
    const first = kinds.get(job.kind) ?? key;
    kinds.set(job.kind, first);
    const own = first === key ? on : on.map((cost) => cost && { ...cost, setUp: 0 });
    found.set(key, { on: own, count: (found.get(key)?.count ?? 0) + 1 });
  }
  const most = ({ on, count }: Group): number =>
    count * Math.min(...on.flatMap((cost) => cost?.machine ?? []));
  return [...found.values()].sort((a, b) => most(b) - most(a));
}

function costOf(
  times: JobTimes,
  { kind, begun }: ScheduleJob,
  given: ReadonlySet<string | null | undefined>
): Cost {
  const { segments, off, finish } = times;
  const handsIn = (segment: Segment | undefined): number =>
    segment && segment.kind !== 'needle' ? segment.seconds : 0;
  const isNew = begun === null;
  const load = isNew ? times.load : 0;
  return {
    machine: machineSeconds(times),
    hands: handSeconds({ load, segments, off, finish }),
    setUp: isNew && !given.has(kind) ? times.setUp : 0,
    load,
    first: segments.length > 1 ? handsIn(segments[0]) : 0,
    last: segments.length > 1 ? handsIn(segments.at(-1)) : 0,
    finish: off + tableSeconds(finish)
  };
}
