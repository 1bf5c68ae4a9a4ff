import type { Hoop } from '$lib/core/documents/shop';
import { compose, type LineContext, type StationOf } from '$lib/core/ordering/hoopings';
import { handSeconds, machineSeconds } from '$lib/core/solvers/schedule';
import type { PlannedHooping, PlannedLine } from './batchPlan';
import type { BatchInput, LinePlan } from './linePlan';
import { copiesOf, NOTHING_DONE, piecesDone } from './progress';

/** What a plan says of one line: its hoops and ways compared, and how its copies come out in hoopings. */
export function lineOf(
  { context, hoop, options, copies, done }: LinePlan,
  hoopings: readonly PlannedHooping[],
  stations: readonly StationOf[],
  { shop, order, progress = NOTHING_DONE }: BatchInput
): PlannedLine {
  const { line, item } = context;
  const own = hoopings.filter(({ lineId }) => lineId === line.id);
  const station =
    stations.find(({ id }) => id === own[0]?.stationId) ??
    stations.find(({ machine }) => context.allowed(machine)) ??
    stations[0];
  if (!station) throw new RangeError('A line needs a machine.');
  const stages = context.stagesOf(station.machine, hoop);
  const last = stages.at(-1);
  const most = Math.max(0, ...own.filter(({ stage }) => stage === last?.index).map((each) => each.copies));
  const heads = Math.min(station.heads, Math.max(1, most));
  return {
    lineId: line.id,
    name: item.name,
    quantity: line.quantity,
    copies,
    done,
    good: piecesDone({ lines: [line] }, progress, () => stages.length - 1)[0]?.pieces ?? 0,
    hoopId: hoop.id,
    capacity: last ? context.capacity(last, station.machine, hoop) : 0,
    words: wordsOf(
      own.filter(({ stage }) => stage === last?.index),
      hoop,
      shop.hoops
    ),
    hoops: options,
    ways: last && most > 0 ? context.waysOf(last, { total: most, heads }, station.machine, hoop) : [],
    byQuantity: quantities(line.quantity).map((quantity) => ({
      quantity,
      ...timeFor(
        context,
        copiesOf({ ...line, quantity, spoiled: 0 }, order.spoilage),
        hoop,
        station,
        shop.hoops
      )
    }))
  };
}

/** Quantities whose price is worth knowing, the ordered one among them. */
function quantities(ordered: number): number[] {
  return [...new Set([1, 5, 10, 25, 50, 100, ordered])].sort((a, b) => a - b);
}

/** Hands and machine of so many copies of one line by itself, with one set-up for each size of hooping, s. */
function timeFor(
  context: LineContext,
  copies: number,
  hoop: Hoop,
  station: StationOf,
  hoops: readonly Hoop[]
): { hands: number; machine: number } {
  const sum = { hands: 0, machine: 0 };
  context.stagesOf(station.machine, hoop).forEach((_, stage) => {
    const sizes = new Set<string>();
    for (const { copies: each, hoopId } of compose('full', {
      context,
      stage,
      copies,
      hoop,
      hoops,
      stations: [station]
    })) {
      const own = hoops.find(({ id }) => id === hoopId) ?? hoop;
      const times = context.timesOn(stage, each, station, own);
      if (!times) continue;
      const setUp = sizes.has(`${hoopId} ${each}`) ? 0 : times.setUp;
      sizes.add(`${hoopId} ${each}`);
      sum.hands += setUp + handSeconds(times);
      sum.machine += setUp + machineSeconds(times);
    }
  });
  return sum;
}

/**
 * How copies come out in hoopings.
 *
 * @example
 * wordsOf(hoopings, longHoop, hoops) // '6 hoopings of 6, 1 of 2 in Small hoop'
 */
function wordsOf(own: readonly PlannedHooping[], usual: Hoop, hoops: readonly Hoop[]): string {
  const groups = new Map<string, { copies: number; hoopId: string; count: number }>();
  for (const { copies, hoopId } of own) {
    const key = `${copies} ${hoopId}`;
    groups.set(key, { copies, hoopId, count: (groups.get(key)?.count ?? 0) + 1 });
  }
  const sorted = [...groups.values()].sort((a, b) => b.copies - a.copies);
  if (sorted.length === 0) return 'nothing left to stitch';
  return sorted
    .map(({ copies, hoopId, count }, at) => {
      const where =
        hoopId === usual.id ? '' : ` in ${hoops.find(({ id }) => id === hoopId)?.name ?? 'another hoop'}`;
      return `${count}${at === 0 ? (count === 1 ? ' hooping' : ' hoopings') : ''} of ${copies}${where}`;
    })
    .join(', ');
}
