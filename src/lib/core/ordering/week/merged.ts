import type { Order } from '$lib/core/documents/order';
import {
  type BatchInput,
  copiesOf,
  NOTHING_DONE,
  type Progress,
  secondsBetween
} from '$lib/core/ordering/day';

/** An open order of the week, with how far it has come. */
export interface OpenOrder {
  order: Order;
  progress?: Progress | undefined;
}

const PART = '\u0000';

/** The line of an order in the week: lines of several orders must not be mixed up. */
export function weekLine(orderId: string, lineId: string): string {
  return `${orderId}${PART}${lineId}`;
}

/**
 * The order a line of the week belongs to.
 *
 * @example
 * orderOfLine(weekLine('gala', 'tabs')) // 'gala'
 */
export function orderOfLine(weekLineId: string): string {
  return weekLineId.split(PART)[0] ?? weekLineId;
}

/**
 * Open orders as one: they share machines, hoops, hands and what dries together.
 *
 * @param from when work may begin, as it stands on the wall
 * @param bench hours of the workroom, and how many work there
 */
export function mergedOrders(
  open: readonly OpenOrder[],
  items: BatchInput['items'],
  shop: BatchInput['shop'],
  { from, bench, people }: Pick<Order, 'from' | 'bench' | 'people'>
): BatchInput | null {
  const [first] = open;
  if (!first) return null;
  const lines = open.flatMap(({ order }) =>
    order.lines.map((line) => ({
      ...line,
      id: weekLine(order.id, line.id),
      machineIds: line.machineIds.length > 0 ? line.machineIds : order.machineIds,
      // Each order reckons with what comes out bad by itself.
      quantity: copiesOf(line, order.spoilage) * line.perFile,
      spoiled: 0
    }))
  );
  const progress: Progress = { done: [], begun: [], named: [] };
  for (const { order, progress: own = NOTHING_DONE } of open) {
    const inWeek = <T extends { lineId: string }>(each: T): T => ({
      ...each,
      lineId: weekLine(order.id, each.lineId)
    });
    progress.done.push(...own.done.map(inWeek));
    progress.begun.push(
      ...own.begun.map((each) => ({
        ...inWeek(each),
        shared: each.shared && { ...each.shared, parts: each.shared.parts.map(inWeek) }
      }))
    );
    progress.named.push(...own.named.map(inWeek));
  }
  return {
    order: {
      ...first.order,
      id: 'week',
      name: 'The week',
      lines,
      due: null,
      from,
      bench,
      people,
      machineIds: [],
      spoilage: 0
    },
    items,
    shop,
    progress,
    // What is for two customers is not mixed in one hoop.
    groupOf: orderOfLine,
    notBefore: Object.fromEntries(
      open.flatMap(({ order }) =>
        order.from > from
          ? order.lines.map((line) => [weekLine(order.id, line.id), secondsBetween(from, order.from)])
          : []
      )
    )
  };
}
