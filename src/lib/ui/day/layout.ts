import { type BatchPlan, wallTimeAt, weekdayOf } from '$lib/core/ordering/day';
import { DAY_S } from '$lib/core/solvers/schedule';

/** A stretch of a row, in shares of the width of the day. */
export interface Bar {
  kind: 'needle' | 'hands' | 'wait';
  left: number;
  width: number;
  hoopingId: string | null;
  title: string;
  /** It goes on on another day. */
  torn: boolean;
}

export interface DayRow {
  id: string;
  name: string;
  detail: string;
  kind: 'station' | 'hands' | 'wait';
  bars: Bar[];
  /** Words that stand over a stretch. */
  labels: { left: number; width: number; words: string[]; hoopingId: string }[];
}

/** One day of a schedule, ready to be drawn. */
export interface DayScene {
  /** `Friday 27 November` */
  name: string;
  day: number;
  hours: { at: number; words: string }[];
  rows: DayRow[];
  /** When nothing needs hands. */
  away: { left: number; width: number; seconds: number }[];
  /** Where the work ends, if it ends on this day. */
  end: { at: number; words: string } | null;
}

const NAMES = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const MONTHS = 'January February March April May June July August September October November December'.split(
  ' '
);

/** `Friday 27 November` for the day so many days after another. */
export function dayName(from: string, day: number): string {
  const wall = wallTimeAt(from, day * DAY_S + DAY_S / 2);
  const month = MONTHS[Number(wall.slice(5, 7)) - 1] ?? '';
  return `${NAMES[weekdayOf(wall)] ?? ''} ${Number(wall.slice(8, 10))} ${month}`;
}

/**
 * The days of a schedule on which hands or needle have something to do.
 *
 * @param from wall time of the day the plan begins
 * @param labelOf what stands over a hooping, the longest words first; the first that fit are taken
 */
export function dayScenes(
  plan: BatchPlan,
  from: string,
  labelOf: (hoopingId: string) => string[]
): DayScene[] {
  const busy = plan.tasks.filter(({ kind }) => kind !== 'wait');
  const days = [...new Set(busy.map((task) => Math.floor(task.from / DAY_S)))].sort((a, b) => a - b);
  return days.map((day) => sceneOf(plan, from, day, labelOf));
}

function sceneOf(
  plan: BatchPlan,
  from: string,
  day: number,
  labelOf: (hoopingId: string) => string[]
): DayScene {
  const own = plan.tasks.filter(
    (task) => task.kind !== 'wait' && task.to > day * DAY_S && task.from < (day + 1) * DAY_S
  );
  const first = Math.floor(Math.min(...own.map((task) => task.from)) / 3600);
  const last = Math.max(first + 3, Math.ceil(Math.max(...own.map((task) => task.to)) / 3600));
  const [begin, end] = [first * 3600, last * 3600];
  const share = (at: number): number => Math.min(1, Math.max(0, (at - begin) / (end - begin)));
  const barOf = (task: BatchPlan['tasks'][number], kind: Bar['kind']): Bar => ({
    kind,
    left: share(task.from),
    width: share(task.to) - share(task.from),
    hoopingId: task.hoopingId,
    title: task.title,
    torn: task.to > end || task.from < begin
  });
  const within = (task: BatchPlan['tasks'][number]): boolean => task.to > begin && task.from < end;
  const stations = plan.stations.map(({ id, name, detail }): DayRow => {
    const tasks = plan.tasks.filter((task) => task.stationId === id && within(task) && task.kind !== 'load');
    const ids = [...new Set(tasks.flatMap(({ hoopingId }) => hoopingId ?? []))];
    return {
      id,
      name,
      detail,
      kind: 'station',
      bars: tasks.map((task) => barOf(task, task.kind === 'hands' ? 'hands' : 'needle')),
      labels: ids.map((hoopingId) => {
        const mine = tasks.filter((task) => task.hoopingId === hoopingId);
        const left = share(Math.min(...mine.map((task) => task.from)));
        const right = share(Math.max(...mine.map((task) => task.to)));
        return { left, width: right - left, words: labelOf(hoopingId), hoopingId };
      })
    };
  });
  const people = Math.max(1, ...plan.tasks.map(({ person }) => (person ?? 0) + 1));
  const hands = Array.from({ length: people }, (_, person): DayRow => ({
    id: `hands ${person}`,
    name: people > 1 ? `Hands ${person + 1}` : 'Your hands',
    detail: '',
    kind: 'hands',
    bars: plan.tasks
      .filter((task) => task.person === person && within(task))
      .map((task) => barOf(task, 'hands')),
    labels: []
  }));
  const waits = plan.tasks.filter((task) => task.kind === 'wait' && within(task));
  const wait: DayRow = {
    id: 'waiting',
    name: 'Waiting',
    detail: '',
    kind: 'wait',
    bars: waits.map((task) => barOf(task, 'wait')),
    labels: []
  };
  return {
    name: dayName(from, day),
    day,
    hours: Array.from({ length: last - first + 1 }, (_, at) => ({
      at: share((first + at) * 3600),
      words: `${(first + at) % 24}:00`
    })),
    // A machine that rests all day takes no room, unless all do.
    rows: [...stations.filter(({ bars }) => bars.length > 0), ...hands, ...(waits.length > 0 ? [wait] : [])],
    away: plan.away
      .filter(({ from: start, to }) => to > begin && start < end)
      .map(({ from: start, to }) => ({
        left: share(start),
        width: share(to) - share(start),
        seconds: to - start
      })),
    end:
      plan.worked > begin && plan.worked <= end
        ? { at: share(plan.worked), words: wallTimeAt(from, plan.worked).slice(11) }
        : null
  };
}
