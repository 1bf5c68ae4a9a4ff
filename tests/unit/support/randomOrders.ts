import { seeded } from '$lib/core/base/units';
import type { Calendar, JobTimes, Problem, ScheduleJob, Segment, Station } from '$lib/core/solvers/schedule';

/** A bench that never closes. */
const ALWAYS: Calendar = { hands: [{ from: 0, to: 1e9 }], needle: [{ from: 0, to: 1e9 }] };

export function station(id: string, more: Partial<Station> = {}): Station {
  return {
    id,
    kind: null,
    thread: null,
    bobbin: 1e6,
    bobbinFull: 1e6,
    bobbinChange: 60,
    spoolChange: 70,
    ...more
  };
}

export function jobTimes(more: Partial<JobTimes> = {}): JobTimes {
  return {
    load: 0,
    threading: 0,
    firstThread: null,
    lastThread: null,
    segments: [],
    off: 0,
    finish: [],
    wash: [],
    threads: [],
    bobbinMetres: 0,
    bobbinAfter: 1e6,
    setUp: 0,
    ...more
  };
}

export function job(id: string, on: (JobTimes | null)[], more: Partial<ScheduleJob> = {}): ScheduleJob {
  return { id, kind: id, hoopId: 'hoop', hoops: 1, after: [], on, wash: null, begun: null, ...more };
}

export function problemOf(jobs: ScheduleJob[], stations: Station[], more: Partial<Problem> = {}): Problem {
  return {
    jobs,
    stations,
    people: 1,
    hoops: { hoop: 2 * stations.length },
    calendar: ALWAYS,
    start: 0,
    table: [],
    spoolMetres: 1e9,
    ...more
  };
}

export const hands = (seconds: number): Segment => ({ kind: 'hands', seconds, title: 'hands' });
export const needle = (seconds: number): Segment => ({ kind: 'needle', seconds, title: 'needle' });

/**
 * A random order: hoopings of a few kinds, each with its own halts, on machines of different speed, hands as large a
 * share of the needle time of one machine as asked.
 */
export function randomOrder(
  seed: number,
  { machines, hoopings, halts, share }: { machines: number; hoopings: number; halts: number; share: number }
): Problem {
  const random = seeded(seed);
  const between = (low: number, high: number): number => low + (high - low) * random();
  const whole = (low: number, high: number): number => Math.floor(between(low, high + 1));
  const speeds = Array.from({ length: machines }, () => between(0.7, 1.4));
  const kinds = Array.from({ length: whole(1, Math.min(5, hoopings)) }, (_, at) => ({
    at,
    stops: Array.from({ length: whole(1, halts + 1) }, () => between(200, 2400)),
    split: { load: between(0.5, 2), mid: between(0.3, 1.5), off: between(0.2, 1), finish: between(0.5, 3) },
    chunks: whole(1, 4),
    // Some kinds are too large for some machines.
    fits: speeds.map((_, machine) => machine === at % machines || random() < 0.8)
  }));
  const made = Array.from({ length: hoopings }, () => kinds[whole(0, kinds.length - 1)] ?? kinds[0]).flatMap(
    (kind) => kind ?? []
  );
  const needleSum = made.reduce((sum, { stops }) => sum + stops.reduce((all, each) => all + each, 0), 0);
  const unit = made.reduce(
    (sum, { split, stops }) => sum + split.load + split.mid * (stops.length + 1) + split.off + split.finish,
    0
  );
  const scale = (share * (needleSum / machines)) / unit;
  const jobs = made.map((kind, at) => {
    const mid = kind.split.mid * scale;
    return job(
      `${at}`,
      speeds.map((speed, machine) =>
        kind.fits[machine]
          ? jobTimes({
              load: kind.split.load * scale,
              segments: [...kind.stops.flatMap((each) => [hands(mid), needle(each / speed)]), hands(mid)],
              off: kind.split.off * scale,
              finish: [
                {
                  kind: 'hands',
                  seconds: kind.split.finish * scale,
                  title: 'finish',
                  times: kind.chunks,
                  what: 'cut-out',
                  once: false
                }
              ],
              setUp: 90
            })
          : null
      ),
      { kind: `kind ${kind.at}` }
    );
  });
  return problemOf(
    jobs,
    speeds.map((_, at) => station(`machine ${at + 1}`))
  );
}
