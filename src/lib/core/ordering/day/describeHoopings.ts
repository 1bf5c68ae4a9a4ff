import type { OrderLine } from '$lib/core/documents/order';
import { type HoopFinding, traceHoop } from '$lib/core/ordering/copies';
import { type SharedPart, sharedLayout, shareOver, type StationOf } from '$lib/core/ordering/hoopings';
import type { ScheduleTask, Span } from '$lib/core/solvers/schedule';
import type { HoopShared, PlannedHooping } from './batchPlan';
import type { BatchInput, Candidate, LinePlan } from './linePlan';
import { placesOf } from './places';
import { type Begun, inHoop, NOTHING_DONE, type Progress } from './progress';

/** Copies of one line in one hooping: a whole job, or one of the items that share its hoop. */
interface PartOfJob {
  job: number;
  /** Which of the items, from 0. */
  part: number;
  lineId: string;
  stage: number;
  copies: number;
  hoopId: string;
  names: string[];
  runId: string | null;
  begun: Begun | null;
  /** Whether others are stitched in the same clamping. */
  shares: boolean;
}

/** The jobs of a plan, those under way first, each with the items that are still to be stitched or finished in it. */
export function partsOfJobs({ begun, hoopings }: Pick<Candidate, 'begun' | 'hoopings'>): PartOfJob[] {
  return [
    ...begun.flatMap((each, job) =>
      inHoop(each).map(({ at, lineId, stage, copies, names, runId }): PartOfJob => {
        const { hoopId } = each;
        const shares = each.shared !== undefined;
        return { job, part: at, lineId, stage, copies, hoopId, names, runId, begun: each, shares };
      })
    ),
    ...hoopings.flatMap(({ lineId, stage, copies, hoopId, and = [] }, at) =>
      [{ lineId, copies }, ...and].map((each, part): PartOfJob => ({
        ...{ ...each, job: begun.length + at, part, stage, hoopId },
        ...{ names: [], runId: null, begun: null, shares: and.length > 0 }
      }))
    )
  ];
}

/** Every hooping of a schedule, item by item, with its copies, places and times. */
export function hoopingsOf(
  candidate: Candidate,
  lines: readonly LinePlan[],
  stations: readonly StationOf[],
  input: BatchInput
): PlannedHooping[] {
  const { progress = NOTHING_DONE, shop } = input;
  const parts = partsOfJobs(candidate);
  const spans = parts.map((part) => spanOf(part, candidate));
  const inTime = parts
    .map((_, at) => at)
    .sort((a, b) => (spans[a]?.span.from ?? 0) - (spans[b]?.span.from ?? 0));
  const numbers = numbersOf(parts, inTime, progress);
  const names = namesOf(parts, inTime, lines, progress);
  const found = parts.map((each, at): PlannedHooping => {
    const line = lines.find(({ context }) => context.line.id === each.lineId);
    const { span, machine } = spans[at] ?? { span: { from: 0, to: 0 }, machine: 0 };
    const station = stations[machine] ?? stations[0];
    const hoop = shop.hoops.find(({ id }) => id === each.hoopId);
    if (!line || !station || !hoop) throw new RangeError('A hooping needs its line, machine and hoop.');
    const { context } = line;
    const heads = Math.min(station.heads, each.copies);
    const own = numbers[at] ?? [];
    const places = placesOf(line, each.stage, each.copies, heads, station, hoop, own[0] ?? 1, input);
    const stage = context.stagesOf(station.machine, hoop)[each.stage];
    const suffix = each.shares ? `-${each.part + 1}` : '';
    return {
      id: each.runId ?? `${each.lineId}-${each.stage + 1}-${each.job + 1 - candidate.begun.length}${suffix}`,
      lineId: each.lineId,
      itemId: context.item.id,
      name: context.item.name,
      stage: each.stage,
      stages: context.stagesOf(station.machine, hoop).length,
      copies: each.copies,
      heads: shareOver(each.copies, heads),
      numbers: own,
      names: each.begun ? each.names : (names[at] ?? []),
      hoopId: hoop.id,
      stationId: station.id,
      machineId: station.machine.id,
      way: stage
        ? context.wayOf(stage, { total: each.copies, heads }, station.machine, hoop)
        : 'copy-by-copy',
      ...places,
      shared: null,
      runId: each.runId,
      ...span
    };
  });
  return found.map((hooping, at) => {
    const own = parts[at];
    if (!own?.shares) return hooping;
    const together = found.filter((_, other) => parts[other]?.job === own.job);
    const shared = sharedOf(own, together, parts, lines, stations, input);
    if (!shared) return hooping;
    const placements = shared.placements
      .filter(({ part }) => part === own.part)
      .map((place) => ({ ...place, part: 0 }));
    return {
      ...hooping,
      placements,
      pitch: null,
      findings: findingsIn(shared, hooping, lines, input),
      shared
    };
  });
}

/** What a trace of all items of a hoop would show. */
function findingsIn(
  { parts, outlines, placements }: HoopShared,
  { area }: Pick<PlannedHooping, 'area'>,
  lines: readonly LinePlan[],
  { shop }: BatchInput
): HoopFinding[] {
  const gaps = lines.flatMap(({ context: { line, gap } }) =>
    parts.some(({ lineId }) => lineId === line.id) ? gap : []
  );
  return traceHoop(outlines, placements, area, Math.max(0, ...gaps) - CLOSE_MM, shop.unit);
}

/** So much nearer than the gap copies are laid where they would not find room else, mm. */
const CLOSE_MM = 0.4;

/** When some copies are loaded, stitched and finished, and on which machine. */
function spanOf(
  { job, part, shares }: PartOfJob,
  { found, problem }: Candidate
): { span: Span; machine: number } {
  const all = found.schedule.tasks.filter((task) => task.job === job);
  const mine = (task: ScheduleTask): boolean => !shares || (task.part ?? 0) === part;
  const own = all.some(mine) ? all.filter(mine) : all;
  const machine = all.find((task) => task.machine !== null)?.machine ?? problem.jobs[job]?.begun ?? 0;
  return {
    machine,
    span: {
      // What no machine takes is not scheduled; the plan says so.
      from: own.length > 0 ? Math.min(...own.map(({ from }) => from)) : problem.start,
      to: own.length > 0 ? Math.max(...own.map(({ to }) => to)) : problem.start
    }
  };
}

/** What is in a shared hoop, and where its copies lie; a hoop under way keeps the items that are over. */
function sharedOf(
  own: PartOfJob,
  together: readonly PlannedHooping[],
  parts: readonly PartOfJob[],
  lines: readonly LinePlan[],
  stations: readonly StationOf[],
  { shop }: BatchInput
): HoopShared | null {
  const [first] = together;
  const station = stations.find(({ id }) => id === first?.stationId);
  const hoop = shop.hoops.find(({ id }) => id === own.hoopId);
  const mates = parts.filter(({ job }) => job === own.job);
  const begun = own.begun?.shared;
  const items: HoopShared['parts'] = begun
    ? begun.parts.map((part, at) => ({
        ...part,
        hoopingId: together.find((_, index) => mates[index]?.part === at)?.id ?? '',
        name: nameOf(part.lineId)
      }))
    : together.map(({ id, lineId, itemId, name, copies, way, names }) => ({
        ...{ hoopingId: id, lineId, itemId, name, copies, way, names }
      }));
  const wanted = items.flatMap(({ lineId, copies }): SharedPart[] => {
    const line = lines.find(({ context }) => context.line.id === lineId);
    return line ? [{ context: line.context, copies }] : [];
  });
  if (!first || !station || !hoop || wanted.length < items.length) return null;
  const layout = sharedLayout(wanted, station.machine, hoop);
  return {
    id: begun?.id ?? first.id,
    at: own.part,
    parts: items,
    placements: layout?.placements ?? [],
    outlines: layout?.outlines ?? []
  };

  function nameOf(lineId: string): string {
    return lines.find(({ context }) => context.line.id === lineId)?.context.item.name ?? '';
  }
}

/** Names not stitched yet go to the copies that are begun first; one already stitched is never stitched again. */
function namesOf(
  parts: readonly PartOfJob[],
  inTime: readonly number[],
  lines: readonly LinePlan[],
  progress: Progress
): string[][] {
  const left = new Map<string, string[]>();
  const given = parts.map((): string[] => []);
  for (const at of inTime) {
    const each = parts[at];
    const line = lines.find(({ context }) => context.line.id === each?.lineId)?.context.line;
    if (!each || !line || each.begun) continue;
    const key = `${each.lineId} ${each.stage}`;
    const names = left.get(key) ?? unnamed(line, each.stage, progress);
    given[at] = names.slice(0, each.copies);
    left.set(key, names.slice(each.copies));
  }
  return given;
}

/** Copies of each line count on in the order in which they are begun, after those that are through. */
function numbersOf(parts: readonly PartOfJob[], inTime: readonly number[], progress: Progress): number[][] {
  const next = new Map<string, number>();
  const numbers = parts.map((): number[] => []);
  for (const at of inTime) {
    const each = parts[at];
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

/** Names of a line that no run of a stage has taken. */
function unnamed({ id, names }: OrderLine, stage: number, { named, begun }: Progress): string[] {
  const taken = [...named, ...begun.flatMap(inHoop)]
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
