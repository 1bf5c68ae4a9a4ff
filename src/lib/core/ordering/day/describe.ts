import type { StationOf } from '$lib/core/ordering/hoopings';
import {
  AWAY_S,
  DAY_S,
  oneByOne,
  presenceOf,
  type ScheduleTask,
  type Span
} from '$lib/core/solvers/schedule';
import type { BatchPlan, PlannedHooping } from './batchPlan';
import { hoopingsOf, partsOfJobs } from './describeHoopings';
import { lineOf } from './describeLine';
import type { BatchInput, Candidate, LinePlan } from './linePlan';
import { secondsBetween } from './wallTime';

/**
 * Tells a schedule: its hoopings with their copies and places, and what it comes to.
 */
export function describe(
  candidate: Candidate,
  lines: readonly LinePlan[],
  stations: readonly StationOf[],
  input: BatchInput,
  problems: readonly string[]
): BatchPlan {
  const { problem, found, composition } = candidate;
  const { schedule, bound } = found;
  const { order } = input;
  const hoopings = hoopingsOf(candidate, lines, stations, input);
  const parts = partsOfJobs(candidate);
  // What is for a whole shared hoop, as loading it, goes with the first of its items.
  const idOf = new Map(parts.map(({ job, part }, at) => [`${job} ${part}`, hoopings[at]?.id ?? null]));
  const hoopingIdOf = (job: number, part: number | undefined): string | null =>
    idOf.get(`${job} ${part ?? ''}`) ?? hoopings[parts.findIndex((each) => each.job === job)]?.id ?? null;
  const handTasks = schedule.tasks.filter(({ person }) => person !== null);
  const presence = presenceOf(handTasks);
  const due = order.due === null ? null : secondsBetween(order.from, order.due);
  const sum = (kinds: readonly ScheduleTask['kind'][]): number =>
    schedule.tasks.reduce((total, { kind, from, to }) => total + (kinds.includes(kind) ? to - from : 0), 0);
  return {
    lines: lines.map((line) => lineOf(line, hoopings, stations, input)),
    hoopings,
    stations: stations.map(({ id, name, machine, heads }) => ({
      id,
      machineId: machine.id,
      name,
      detail: `${machine.needles === 1 ? 'one needle' : `${machine.needles} needles`}${heads > 1 ? `, ${heads} heads together` : ''}`
    })),
    start: problem.start,
    tasks: joined(schedule.tasks).map(({ job, machine, part, ...task }) => ({
      ...task,
      hoopingId: job === null ? null : hoopingIdOf(job, part),
      stationId: machine === null ? null : (stations[machine]?.id ?? null)
    })),
    worked: schedule.worked,
    stitched: schedule.stitched,
    finish: schedule.finish,
    bound,
    oneByOne: oneByOne(problem),
    due,
    hands: handTasks.reduce((total, { from, to }) => total + to - from, 0),
    needle: sum(['needle', 'attended']),
    waiting: unionOf(schedule.tasks.filter(({ kind }) => kind === 'wait')),
    presence,
    away: awayOf(presence),
    // The next item of a shared hoop is set up in the middle of it.
    setUps: schedule.setUps + candidate.hoopings.reduce((sum, { and = [] }) => sum + and.length, 0),
    bobbins: schedule.bobbins,
    spools: schedule.spools,
    composition,
    problems: [...problems, ...late(schedule.finish, due), ...tooLong(candidate, parts, hoopings)]
  };
}

/** Finishing taken up copy by copy is one task where nothing came between. */
function joined(tasks: readonly ScheduleTask[]): ScheduleTask[] {
  const found: ScheduleTask[] = [];
  for (const task of tasks) {
    const last = found.findLast(({ person, job }) => person === task.person && job === task.job);
    const same =
      last?.kind === task.kind &&
      last.title === task.title &&
      last.part === task.part &&
      last.to >= task.from - 1e-6;
    if (same && task.person !== null) last.to = task.to;
    else found.push({ ...task });
  }
  return found;
}

function late(finish: number, due: number | null): string[] {
  return due !== null && finish > due
    ? [
        'The order is not done when it is due: begin earlier, add hours or hands, or let a machine more take part.'
      ]
    : [];
}

/** Hoopings that no machine takes in this number, which a change of the shop can bring about. */
function tooLong(
  { problem }: Candidate,
  parts: readonly { job: number }[],
  hoopings: readonly PlannedHooping[]
): string[] {
  return parts.flatMap(({ job }, at) =>
    problem.jobs[job]?.on.every((times) => times === null)
      ? [
          `${hoopings[at]?.name ?? 'A hooping'}: no machine of this order takes ${hoopings[at]?.copies ?? 0} copies at once.`
        ]
      : []
  );
}

/** Stretches on one day in which nothing needs hands, between two in which something does. */
function awayOf(presence: readonly Span[]): Span[] {
  return presence.slice(1).flatMap(({ from }, at): Span[] => {
    const before = presence[at]?.to ?? from;
    const sameDay = Math.floor(before / DAY_S) === Math.floor(from / DAY_S);
    return sameDay && from - before >= AWAY_S ? [{ from: before, to: from }] : [];
  });
}

/** Time in which at least one of them goes on, s. */
function unionOf(spans: readonly Span[]): number {
  let [sum, end] = [0, -Infinity];
  for (const { from, to } of spans.toSorted((a, b) => a.from - b.from)) {
    sum += Math.max(0, to - Math.max(from, end));
    end = Math.max(end, to);
  }
  return sum;
}
