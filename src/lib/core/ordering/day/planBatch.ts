import type { Order } from '$lib/core/documents/order';
import { paceOf, type Shop } from '$lib/core/documents/shop';
import {
  type ComposedHooping,
  type Composition,
  LineContext,
  type StationOf,
  stationsOf
} from '$lib/core/ordering/hoopings';
import {
  decode,
  type Decisions,
  type Problem,
  type ScheduleJob,
  type ScheduleSearchOptions,
  type Schedule,
  searchSchedule,
  tightened,
  type Station,
  URGENCIES,
  worth
} from '$lib/core/solvers/schedule';
import type { BatchPlan } from './batchPlan';
import { awaySpans, calendarOf } from './benchHours';
import { describe } from './describe';
import { doneByLine } from './doneByLine';
import { compareHoops } from './hoopChoice';
import { beganJob, precedence, scheduleJobOf } from './jobs';
import { type Begun, copiesOf, inHoop, NOTHING_DONE, type Progress } from './progress';
import { HoopSharing } from './shareHoops';
import { sharesOf } from './sharesOf';
import { secondsBetween } from './wallTime';
import type { BatchInput, LinePlan, Candidate } from './linePlan';

export interface BatchOptions {
  /** Schedules that are worked out at most. */
  rounds?: number;
  /** Called with each better plan. */
  onBetter?: (plan: BatchPlan) => void;
  stop?: () => boolean;
  /** Which lines go first and what a schedule costs, where that is more than its end; each task’s line is told. */
  prefer?: Preference;
}

/** Lines in their order, and the cost of a schedule from when each line is done, s. */
export interface Preference {
  rank: (lineId: string) => number;
  cost: (doneAt: ReadonlyMap<string, number>, schedule: Schedule) => number;
  /** The order of the lines was fixed by hand: on every machine it is kept. */
  fixed?: boolean;
}

/** A spool of thread where nobody has said what is on it, m. */
const SPOOL_M = 1000;
/** How much sooner hands take up a line that goes before another. */
const EAGER = 0.4;
/** A hooping saved is worth as much as this, in the seconds of a schedule: its stabiliser, and hands that are free meanwhile. */
const SAVED_HOOPING = 1800;
/** Schedules worked out to compare the ways of sharing copies out. */
const QUICK_ROUNDS = 160;

/**
 * Plans an order: how many to a hoop, how many hoopings, which machine stitches which of them when, and when hands are
 * needed. What is done stays done, and what is under way keeps its machine.
 *
 * @example
 * planBatch({ order, items, shop }).finish // 65520: 18:12 on the first day
 */
export function planBatch(input: BatchInput, options: BatchOptions = {}): BatchPlan {
  return planned(input, options).plan;
}

/** A plan with the problem it solves and the decisions it rests on, so that they can be tried with other times. */
export interface Planned {
  plan: BatchPlan;
  problem: Problem;
  decisions: Decisions;
  /** The lines of each job: several share one hoop. */
  linesOf: string[][];
}

/**
 * The same, with what lies behind it.
 *
 * @example
 * decode(planned(input).problem, planned(input).decisions).finish // that of its plan, s from the midnight before
 */
export function planned(input: BatchInput, options: BatchOptions = {}): Planned {
  const { order, items, shop, progress = NOTHING_DONE } = input;
  const stations = stationsOf(shop, order.machineIds);
  const problems: string[] = [];
  const lines = order.lines.flatMap((line): LinePlan[] => {
    const found = items.find(({ item }) => item.id === line.itemId);
    if (!found) {
      problems.push(
        `An item of this order is no longer on the shelf: its ${line.quantity} pieces are not planned.`
      );
      return [];
    }
    const context = new LineContext(line, found.item, found.setup, shop);
    const made = linePlan(context, order, shop, stations, progress);
    if (typeof made !== 'string') return [made];
    problems.push(made);
    return [];
  });
  const due = order.due === null ? null : secondsBetween(order.from, order.due);
  const sharing = new HoopSharing(lines, stations, shop, input.groupOf ?? (() => ''));
  let best: Candidate | undefined;
  /** The best of those that leave items apart: a shared hoop must not make another order late. */
  let apart: Candidate | undefined;
  for (const { composition, hoopings } of sharesOf(lines, shop, stations, sharing)) {
    if (best && options.stop?.()) break;
    const tried = schedule(composition, hoopings, lines, stations, input, { rounds: QUICK_ROUNDS });
    if (savedBy(tried) === 0 && (!apart || costOf(tried, due) < costOf(apart, due))) apart = tried;
    if (best && costOf(tried, due) >= costOf(best, due)) continue;
    best = tried;
    options.onBetter?.(describe(tried, lines, stations, input, problems));
  }
  if (!best) throw new RangeError('A plan needs a machine.');
  const { prefer } = options;
  const last = prefer
    ? [best, ...(apart && apart !== best ? [apart] : [])]
        .map((each) => preferred(searched(each), prefer))
        .reduce((a, b) => (b.cost < a.cost ? b : a)).candidate
    : searched(best);
  const { problem, found } = last;
  const end = { ...last, found: { ...found, bound: tightened(problem, found.schedule, found.bound) } };
  return {
    plan: describe(end, lines, stations, input, problems),
    problem,
    decisions: found.decisions,
    linesOf: linesOf(end)
  };

  /** The same hoopings, looked at for longer. */
  function searched(chosen: Candidate): Candidate {
    const { composition, hoopings } = chosen;
    const { found: longer } = schedule(composition, hoopings, lines, stations, input, {
      ...(options.rounds !== undefined && { rounds: options.rounds }),
      ...(options.stop && { stop: options.stop }),
      ...(options.onBetter && {
        onBetter: (decisions, made) => {
          if (worth(made) >= worth(chosen.found.schedule)) return;
          const better = { ...chosen.found, schedule: decode(chosen.problem, decisions, true) };
          options.onBetter?.(describe({ ...chosen, found: better }, lines, stations, input, problems));
        }
      })
    });
    return worth(longer.schedule) <= worth(chosen.found.schedule) ? { ...chosen, found: longer } : chosen;
  }
}

/**
 * What a way to share copies out costs, s: the worth of its schedule, less what each hooping is worth that a shared hoop saves,
 * unless the order is late by it.
 */
function costOf({ found: { schedule }, hoopings }: Candidate, due: number | null): number {
  return (
    worth(schedule) - (due !== null && schedule.finish > due ? 0 : SAVED_HOOPING * savedBy({ hoopings }))
  );
}

/** Hoopings that shared hoops save. */
function savedBy({ hoopings }: Pick<Candidate, 'hoopings'>): number {
  return hoopings.reduce((sum, { and = [] }) => sum + and.length, 0);
}

function linesOf({ begun, hoopings }: Pick<Candidate, 'begun' | 'hoopings'>): string[][] {
  return [
    // A part that is over has no tasks, but keeps its place.
    ...begun.map(({ lineId, shared }) => shared?.parts.map((part) => part.lineId) ?? [lineId]),
    ...hoopings.map(({ lineId, and = [] }) => [lineId, ...and.map((each) => each.lineId)])
  ];
}

/** The same queues with the lines that go first in front, where that costs less; hands wait more or less readily. */
function preferred(
  candidate: Candidate,
  { rank, cost, fixed = false }: Preference
): { candidate: Candidate; cost: number } {
  const { problem, found } = candidate;
  const lines = linesOf(candidate);
  const { queues } = found.decisions;
  const rankOf = (job: number): number => Math.min(...(lines[job] ?? []).map(rank));
  const sorted = queues.map((queue) => queue.toSorted((a, b) => rankOf(a) - rankOf(b)));
  const bias = new Float64Array(problem.jobs.length * URGENCIES);
  problem.jobs.forEach((_, job) => bias.fill(rankOf(job) * EAGER, job * URGENCIES, (job + 1) * URGENCIES));
  const tried: Decisions[] = [
    ...(fixed ? [] : [found.decisions]),
    ...[0, 0.3, 0.7].flatMap((patience) => [
      { queues: sorted, patience },
      { queues: sorted, patience, bias }
    ])
  ];
  const costs = tried.map((decisions) => {
    const schedule = decode(problem, decisions, true);
    return { decisions, schedule, cost: cost(doneByLine(problem, lines, schedule), schedule) };
  });
  const [best] = costs.toSorted((a, b) => a.cost - b.cost);
  const saved = SAVED_HOOPING * savedBy(candidate);
  if (!best) return { candidate, cost: Infinity };
  return { candidate: { ...candidate, found: { ...found, ...best } }, cost: best.cost - saved };
}

function linePlan(
  context: LineContext,
  order: Order,
  shop: Shop,
  stations: readonly StationOf[],
  progress: Progress
): LinePlan | string {
  const { line, item } = context;
  const copies = copiesOf(line, order.spoilage);
  const options = compareHoops(context, copies, shop.hoops, stations, order.rates);
  const wanted = line.hoopId ?? options.find(({ recommended }) => recommended)?.hoopId;
  const hoop = shop.hoops.find(({ id }) => id === wanted);
  if (!hoop || !options.some(({ hoopId }) => hoopId === hoop.id))
    return `${item.name}: no hoop of the machines of this order takes it${line.hoopId && hoop ? ` — ${hoop.name} is too small` : ''}. Choose another size or hoop.`;
  const station = stations.find(({ machine }) => context.allowed(machine)) ?? stations[0];
  const stages = station ? context.stagesOf(station.machine, hoop).length : 1;
  const through = (
    list: readonly { lineId: string; stage: number; copies: number }[],
    stage: number
  ): number =>
    list
      .filter((each) => each.lineId === line.id && each.stage === stage)
      .reduce((sum, each) => sum + each.copies, 0);
  const begun = progress.begun.flatMap(inHoop);
  const gone = Array.from(
    { length: stages },
    (_, stage) => through(progress.done, stage) + through(begun, stage)
  );
  return { context, hoop, options, copies, gone, done: through(progress.done, stages - 1) };
}

function schedule(
  composition: Composition,
  hoopings: ComposedHooping[],
  lines: readonly LinePlan[],
  stations: readonly StationOf[],
  { order, shop, progress = NOTHING_DONE, spoolMetres = SPOOL_M, notBefore }: BatchInput,
  options: ScheduleSearchOptions
): Candidate {
  const contexts = new Map(lines.map(({ context }) => [context.line.id, context]));
  const begun: Begun[] = [];
  const table: Problem['table'] = [];
  const jobs: ScheduleJob[] = [];
  for (const each of progress.begun) {
    const made = beganJob(each, contexts, stations, shop);
    if (!made) continue;
    if ('job' in made) {
      begun.push(each);
      jobs.push(made.job);
    } else table.push(made.table);
  }
  for (const hooping of hoopings) {
    const job = scheduleJobOf(hooping, contexts, stations, shop);
    if (!job) continue;
    const begins = Math.max(
      0,
      ...[hooping, ...(hooping.and ?? [])].map(({ lineId }) => notBefore?.[lineId] ?? 0)
    );
    jobs.push({ ...job, ...(begins > 0 && { notBefore: begins }) });
  }
  const after = precedence(begun, hoopings, progress);
  const heads = Math.max(1, ...stations.map((station) => station.heads));
  const problem: Problem = {
    jobs: jobs.map((job, at) => ({ ...job, id: `${at}`, after: after[at] ?? [] })),
    stations: stations.map((station) => ({
      ...stationOf(station, shop, lines),
      away: awaySpans(station.machine.id, order.from, shop.workroom)
    })),
    people: order.people,
    hoops: Object.fromEntries(shop.hoops.map(({ id, count = 1 }) => [id, Math.max(count, heads)])),
    calendar: calendarOf(order.bench, order.from, shop.workroom),
    start: secondsBetween(order.from, order.from),
    table,
    spoolMetres
  };
  return { composition, hoopings, begun, problem, found: searchSchedule(problem, options) };
}

function stationOf({ id, machine, heads }: StationOf, { hands }: Shop, lines: readonly LinePlan[]): Station {
  const full = Math.max(0, ...lines.map(({ context, hoop }) => context.planOf(machine, hoop).bobbin.metres));
  return {
    id,
    kind: null,
    thread: null,
    // Somebody starts an order with a full bobbin.
    bobbin: full,
    bobbinFull: full,
    bobbinChange: hands.bobbin * heads,
    spoolChange: hands.rethread * heads,
    spm: paceOf(machine)
  };
}
