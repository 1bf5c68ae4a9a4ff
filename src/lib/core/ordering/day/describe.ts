import type { OrderLine, Placement } from '$lib/core/documents/order';
import type { Hoop } from '$lib/core/documents/shop';
import { borderPlacements, borderRepeats, cornerHoopings, traceHoop } from '$lib/core/ordering/copies';
import { copiesPerHead, shareOver, type StationOf } from '$lib/core/ordering/hoopings';
import {
  AWAY_S,
  DAY_S,
  oneByOne,
  presenceOf,
  type ScheduleTask,
  type Span
} from '$lib/core/solvers/schedule';
import type { BatchPlan, PlannedHooping } from './batchPlan';
import { lineOf } from './describeLine';
import type { BatchInput, Candidate, LinePlan } from './linePlan';
import { NOTHING_DONE, type Progress } from './progress';
import { secondsBetween } from './wallTime';

/**
 * Tells a schedule: its hoopings with their copies and places, and what it comes to. What could share a hoop is looked for
 * once, when the plan stands.
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
  const handTasks = schedule.tasks.filter(({ person }) => person !== null);
  const presence = presenceOf(handTasks);
  const due = order.due === null ? null : secondsBetween(order.from, order.due);
  const sum = (kinds: readonly ScheduleTask['kind'][]): number =>
    schedule.tasks.reduce((total, { kind, from, to }) => total + (kinds.includes(kind) ? to - from : 0), 0);
  return {
    lines: lines.map((line) => lineOf(line, hoopings, stations, input)),
    hoopings,
    shared: [],
    stations: stations.map(({ id, name, machine, heads }) => ({
      id,
      machineId: machine.id,
      name,
      detail: `${machine.needles === 1 ? 'one needle' : `${machine.needles} needles`}${heads > 1 ? `, ${heads} heads together` : ''}`
    })),
    start: problem.start,
    tasks: joined(schedule.tasks).map(({ job, machine, ...task }) => ({
      ...task,
      hoopingId: job === null ? null : (hoopings[job]?.id ?? null),
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
    setUps: schedule.setUps,
    bobbins: schedule.bobbins,
    spools: schedule.spools,
    composition,
    problems: [...problems, ...late(schedule.finish, due), ...tooLong(candidate, hoopings)]
  };
}

/** Finishing taken up copy by copy is one task where nothing came between. */
function joined(tasks: readonly ScheduleTask[]): ScheduleTask[] {
  const found: ScheduleTask[] = [];
  for (const task of tasks) {
    const last = found.findLast(({ person, job }) => person === task.person && job === task.job);
    const same = last?.kind === task.kind && last.title === task.title && last.to >= task.from - 1e-6;
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
function tooLong({ problem }: Candidate, hoopings: readonly PlannedHooping[]): string[] {
  return problem.jobs.flatMap(({ on }, at) =>
    on.every((times) => times === null)
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

function hoopingsOf(
  { hoopings, begun, found, problem }: Candidate,
  lines: readonly LinePlan[],
  stations: readonly StationOf[],
  input: BatchInput
): PlannedHooping[] {
  const { progress = NOTHING_DONE, shop } = input;
  const all = [...begun, ...hoopings];
  const spans = all.map((_, at): { span: Span; machine: number } => {
    const own = found.schedule.tasks.filter(({ job }) => job === at);
    const machine = own.find((task) => task.machine !== null)?.machine ?? problem.jobs[at]?.begun ?? 0;
    return {
      machine,
      span: {
        // What no machine takes is not scheduled; the plan says so.
        from: own.length > 0 ? Math.min(...own.map(({ from }) => from)) : problem.start,
        to: own.length > 0 ? Math.max(...own.map(({ to }) => to)) : problem.start
      }
    };
  });
  const numbers = numbersOf();
  const names = namesOf();
  return all.map((each, at): PlannedHooping => {
    const line = lines.find(({ context }) => context.line.id === each.lineId);
    const { span, machine } = spans[at] ?? { span: { from: 0, to: 0 }, machine: 0 };
    const station = stations[machine] ?? stations[0];
    const hoop = shop.hoops.find(({ id }) => id === each.hoopId);
    if (!line || !station || !hoop) throw new RangeError('A hooping needs its line, machine and hoop.');
    const { context } = line;
    const heads = Math.min(station.heads, each.copies);
    const perHead = shareOver(each.copies, heads);
    const own = numbers[at] ?? [];
    const places = placesOf(line, each.stage, each.copies, heads, station, hoop, own[0] ?? 1, input);
    const stage = context.stagesOf(station.machine, hoop)[each.stage];
    const begunHere = 'runId' in each ? each : null;
    return {
      id: begunHere?.runId ?? `${each.lineId}-${each.stage + 1}-${at + 1 - begun.length}`,
      lineId: each.lineId,
      itemId: context.item.id,
      name: context.item.name,
      stage: each.stage,
      stages: context.stagesOf(station.machine, hoop).length,
      copies: each.copies,
      heads: perHead,
      numbers: own,
      names: begunHere?.names ?? names[at] ?? [],
      hoopId: hoop.id,
      stationId: station.id,
      machineId: station.machine.id,
      way: stage
        ? context.wayOf(stage, { total: each.copies, heads }, station.machine, hoop)
        : 'copy-by-copy',
      ...places,
      runId: begunHere?.runId ?? null,
      ...span
    };
  });

  /** Names not stitched yet go to the copies that are begun first; one already stitched is never stitched again. */
  function namesOf(): string[][] {
    const left = new Map<string, string[]>();
    const given = all.map((): string[] => []);
    for (const at of inTime()) {
      const each = all[at];
      const line = lines.find(({ context }) => context.line.id === each?.lineId)?.context.line;
      if (!each || !line || 'runId' in each) continue;
      const key = `${each.lineId} ${each.stage}`;
      const names = left.get(key) ?? unnamed(line, each.stage, progress);
      given[at] = names.slice(0, each.copies);
      left.set(key, names.slice(each.copies));
    }
    return given;
  }

  function inTime(): number[] {
    return all.map((_, at) => at).sort((a, b) => (spans[a]?.span.from ?? 0) - (spans[b]?.span.from ?? 0));
  }

  /** Copies of each line count on in the order in which they are begun, after those that are through. */
  function numbersOf(): number[][] {
    const next = new Map<string, number>();
    const numbers = all.map((): number[] => []);
    for (const at of inTime()) {
      const each = all[at];
      if (!each) continue;
      const key = `${each.lineId} ${each.stage}`;
      const through = progress.done
        .filter(({ lineId, stage }) => lineId === each.lineId && stage === each.stage)
        .reduce((sum, { copies }) => sum + copies, 0);
      const from = next.get(key) ?? through;
      numbers[at] = Array.from({ length: each.copies }, (_, index) => from + index + 1);
      next.set(key, from + each.copies);
    }
    return numbers;
  }
}

/** Names of a line that no run of a stage has taken. */
function unnamed({ id, names }: OrderLine, stage: number, { named, begun }: Progress): string[] {
  const taken = [...named, ...begun]
    .filter((each) => each.lineId === id && each.stage === stage)
    .flatMap((each) => each.names);
  return names
    .filter((name) => name !== '')
    .filter((name) => {
      const at = taken.indexOf(name);
      if (at >= 0) taken.splice(at, 1);
      return at < 0;
    });
}

/** Under which key the maker’s own places of a hooping are kept: those of one head. */
export function placedKey(hoopId: string, stage: number, copies: number): string {
  return `${hoopId} ${stage} ${copies}`;
}

function placesOf(
  { context }: LinePlan,
  stageIndex: number,
  copies: number,
  heads: number,
  { machine }: StationOf,
  hoop: Hoop,
  firstNumber: number,
  { shop }: BatchInput
): Pick<PlannedHooping, 'placements' | 'findings' | 'outline' | 'area' | 'pitch'> {
  const stage = context.stagesOf(machine, hoop)[stageIndex];
  if (!stage) throw new RangeError('A hooping needs its stage.');
  const each = copiesPerHead({ total: copies, heads });
  const outline = context.outlineOf(stage, machine, hoop);
  const area = context.areaOf(machine, hoop);
  const layout = context.layoutOf(stage, machine, hoop, each);
  const own = context.line.placed[placedKey(hoop.id, stageIndex, each)] ?? repeatedPlaces();
  const placements = own ?? layout.placements;
  const findings = context.movesHoop(stage)
    ? []
    : traceHoop([outline], placements, area, context.line.repeats ? 0 : context.gap, shop.unit);
  return { placements, findings, outline, area, pitch: own ? null : layout.pitch };

  function repeatedPlaces(): Placement[] | null {
    const { repeats } = context.line;
    if (!repeats || !stage) return null;
    if (repeats.of === 'corners') {
      const places = context.layoutOf(stage, machine, hoop, repeats.corners).placements;
      const at = (firstNumber - 1) % repeats.corners;
      return cornerHoopings(repeats.corners, places)
        .flat()
        .slice(at, at + each);
    }
    const border = borderRepeats(
      repeats.length,
      Math.max(outline.width, outline.height),
      area,
      repeats.sides
    );
    return border && borderPlacements(each, border.pitch, area);
  }
}
