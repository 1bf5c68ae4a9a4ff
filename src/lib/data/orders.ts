import { type DocumentError, readDocument } from '$lib/core/documents/files';
import { DEFAULT_BENCH } from '$lib/core/documents/shop';
import { DEFAULT_RATES, newLine, type Order, ORDER_VERSION } from '$lib/core/documents/order';
import type { Run } from '$lib/core/documents/run';
import { db } from './db';
import { storeNew } from './edits';
import { readable, readOne } from './rows';
import { eventsOf } from './runs';
import { getShop } from './shop';

/** Orders, the last worked on first; those put away too. */
export async function listOrders(): Promise<Order[]> {
  return readable('order', await db.orders.orderBy('updatedAt').reverse().toArray());
}

export async function getOrder(id: string): Promise<Order | undefined> {
  return readOne('order', await db.orders.get(id));
}

/** An order with nothing in it, which is kept nowhere. */
export function blankOrder(id: string, room: Pick<Order, 'from' | 'people' | 'bench'>): Order {
  const now = new Date(0).toISOString();
  return {
    schema: 'jolt-step/order',
    version: ORDER_VERSION,
    id,
    name: 'Order',
    customer: '',
    note: '',
    createdAt: now,
    updatedAt: now,
    lines: [],
    due: null,
    spoilage: 0.03,
    machineIds: [],
    rates: DEFAULT_RATES,
    ...room
  };
}

/**
 * A new order with a line for an item, if one is named. It keeps the hours and rates of the last one.
 *
 * @param from wall time at which work may begin
 * @param line item and count, and whether copies are stitched for those that come out bad
 */
export async function newOrder(
  id: string,
  name: string,
  from: string,
  now: string,
  line?: { itemId: string; count: number; spare: boolean }
): Promise<Order> {
  const last = (await listOrders())[0];
  const order: Order = {
    ...blankOrder(id, { from, people: last?.people ?? 1, bench: last?.bench ?? DEFAULT_BENCH }),
    name,
    createdAt: now,
    updatedAt: now,
    lines: line ? [newLine('line-1', line.itemId, line.count)] : [],
    spoilage: line?.spare === false ? 0 : ((await getShop()).spoilage ?? last?.spoilage ?? 0.03),
    rates: last?.rates ?? DEFAULT_RATES
  };
  await storeNew(`a new order · ${name}`, { order });
  return order;
}

/** Brings in an order from the text of a file; one already here is never overwritten. */
export async function importOrder(
  text: string,
  freshId: string,
  now: string
): Promise<{ ok: true; order: Order } | { ok: false; error: DocumentError }> {
  const read = readDocument('order', text);
  if (!read.ok) return read;
  const there = (await db.orders.get(read.document.id)) !== undefined;
  const order: Order = { ...read.document, id: there ? freshId : read.document.id, updatedAt: now };
  await storeNew(`an order from a file · ${order.name}`, { order });
  return { ok: true as const, order };
}

/** Runs that stitch an order with their events, the first first. */
export async function runsOfOrder(orderId: string): Promise<Run[]> {
  const heads = readable('run', await db.runs.where('order.orderId').equals(orderId).sortBy('startedAt'));
  return Promise.all(heads.map(async (head): Promise<Run> => ({ ...head, events: await eventsOf(head.id) })));
}

/** Names of the orders that are not put away. */
export async function openOrders(): Promise<{ id: string; name: string }[]> {
  return (await listOrders())
    .filter(({ putAwayAt }) => putAwayAt === undefined)
    .map(({ id, name }) => ({ id, name }));
}
