import type { KeptWeek, WeekInput } from '$lib/core/ordering/week';
import type { StashEntry } from '$lib/core/documents/stash';
import { type DocumentError, readDocument } from '$lib/core/documents/files';
import type { Item } from '$lib/core/documents/item';
import { DEFAULT_BENCH } from '$lib/core/documents/shop';
import { DEFAULT_RATES, newLine, type Order, ORDER_VERSION } from '$lib/core/documents/order';
import { HoopShare, type Run, RUN_VERSION, type RunHead } from '$lib/core/documents/run';
import {
  type BatchInput,
  hoopingPlan,
  type HoopingToRun,
  type PlannedHooping,
  type Progress,
  progressOf
} from '$lib/core/ordering/day';
import { bobbinMeasures } from '$lib/core/running/learning';
import { format } from 'date-fns';
import { db } from './db';
import { storeNew } from './edits';
import { getItem, getSetup, listItems } from './items';
import { readable, readOne } from './rows';
import { foldRun, timesFrom } from '$lib/core/running/runs';
import { eventsOf, openRuns, prepareRun, recentRuns } from './runs';
import { getShop } from './shop';
import { listStash } from './stash';
import { shelfRows } from './summaries';
import { weekKept } from './week';
import { THREAD_RUNS } from './workbench';

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

/** Every order with how far it has come, the last worked on first. */
export async function ordersWithProgress(): Promise<{ order: Order; progress: Progress }[]> {
  const orders = await listOrders();
  return Promise.all(
    orders.map(async (order) => ({ order, progress: progressOf(await runsOfOrder(order.id)) }))
  );
}

/** Everything the week is made of: what is open, its items, the shop, and runs that tell how far things stray. */
export interface WeekTable {
  input: WeekInput;
  runs: Run[];
  stash: StashEntry[];
  /** Items on the shelf, to ask when they could be promised. */
  shelf: { id: string; name: string }[];
  /** The week as it was told last. */
  kept: KeptWeek | null;
}

/** All orders that are not put away, from now on. */
export async function weekTable(now: string): Promise<WeekTable> {
  const [orders, shop, shelf, recent, stash, kept, busy] = await Promise.all([
    ordersWithProgress(),
    getShop(),
    shelfRows(),
    recentRuns(THREAD_RUNS),
    listStash(),
    weekKept(),
    singleRuns()
  ]);
  const open = orders.filter(({ order }) => order.putAwayAt === undefined && order.lines.length > 0);
  const wanted = new Set(open.flatMap(({ order }) => order.lines.map(({ itemId }) => itemId)));
  const [first] = open;
  return {
    runs: recent,
    stash,
    kept,
    shelf: shelf.filter(({ away }) => !away).map(({ id, name }) => ({ id, name })),
    input: {
      orders: open,
      busy,
      shop,
      items: await weekItems([...wanted]),
      room: {
        from: now,
        bench: shop.workroom?.bench ?? first?.order.bench ?? DEFAULT_BENCH,
        people: shop.workroom?.people ?? Math.max(1, ...open.map(({ order }) => order.people))
      }
    }
  };
}

/** Single items that are under way: their machine, and what is left of them, s. */
async function singleRuns(): Promise<NonNullable<WeekInput['busy']>> {
  const heads = (await openRuns()).filter(({ order }) => order === undefined);
  const found = await Promise.all(
    heads.map(async (head) => {
      const state = foldRun(head.plan.steps, await eventsOf(head.id));
      const { hands, needle } = timesFrom(head.plan, state.at);
      // What only stands before its start, or is set aside, takes no machine.
      const isOn = state.phase !== 'not-started' && state.phase !== 'set-aside';
      return { machineId: head.plan.machine.id, name: head.itemName, seconds: isOn ? hands + needle : 0 };
    })
  );
  return found.filter(({ seconds }) => seconds > 0);
}

/** Items with their setups, as a plan wants them; one that is no longer here is left out. */
export async function weekItems(ids: readonly string[]): Promise<WeekInput['items']> {
  const found = await Promise.all(
    ids.map(async (id) => ({ item: await getItem(id), setup: await getSetup(id) }))
  );
  return found.flatMap(({ item, setup }) => (item ? [{ item, setup }] : []));
}

/** Everything an order’s page is made of. */
export interface OrderTable {
  order: Order;
  input: BatchInput;
  runs: Run[];
  /** What logged run-outs measured of the bobbins. */
  measured: number[];
  /** Items on the shelf, for a line more. */
  shelf: Pick<Item, 'id' | 'name' | 'construction' | 'params'>[];
}

/** An order with its items, their setups, the shop and how far its runs have come. */
export async function orderTable(id: string): Promise<OrderTable | undefined> {
  const order = await getOrder(id);
  if (!order) return undefined;
  const [shop, items, runs, recent] = await Promise.all([
    getShop(),
    listItems(),
    runsOfOrder(id),
    recentRuns(THREAD_RUNS)
  ]);
  const wanted = new Set(order.lines.map(({ itemId }) => itemId));
  const setups = await Promise.all([...wanted].map(getSetup));
  return {
    order,
    runs,
    measured: recent.flatMap(bobbinMeasures),
    input: {
      order: { ...order, from: beginsAt(order, runs) },
      shop,
      progress: progressOf(runs),
      items: items
        .filter((item) => wanted.has(item.id))
        .map((item) => ({ item, setup: setups.find((setup) => setup?.itemId === item.id) }))
    },
    shelf: items
      .filter(({ putAwayAt }) => putAwayAt === undefined)
      .map(({ id: itemId, name, construction, params }) => ({ id: itemId, name, construction, params }))
      .sort((a, b) => a.name.localeCompare(b.name))
  };
}

/** Where planning begins: when the order does, or at the last that happened to it. */
function beginsAt({ from }: Order, runs: readonly Run[]): string {
  const last = Math.max(0, ...runs.flatMap(({ events }) => events.at(-1)?.at ?? 0));
  const wall = last > 0 ? format(last, "yyyy-MM-dd'T'HH:mm") : from;
  return wall > from ? wall : from;
}

/** What a run of a hooping is made from. */
type HoopingOfRun = HoopingToRun &
  Pick<PlannedHooping, 'itemId' | 'name' | 'names'> & {
    shared: { id: string; at: number; parts: readonly HoopShare[] } | null;
  };

/**
 * Makes the run of a hooping ready; it starts when the maker says so. The first run of a shared hoop names the hoop. Gives its
 * id.
 */
export async function prepareHooping(
  { input }: Pick<OrderTable, 'input'>,
  hooping: HoopingOfRun,
  id: string,
  at: number,
  client: string
): Promise<string | undefined> {
  const { order, items } = input;
  const found = items.find(({ item }) => item.id === hooping.itemId);
  const made = found && hoopingPlan(input, hooping);
  if (!made) return undefined;
  const { lineId, stage, copies, stationId, hoopId, way, names, shared } = hooping;
  await prepareRun(
    {
      schema: 'jolt-step/run',
      version: RUN_VERSION,
      id,
      itemId: hooping.itemId,
      itemName: runName(hooping),
      startedAt: new Date(at).toISOString(),
      finishedAt: null,
      ...made,
      item: found.item,
      order: {
        ...{ orderId: order.id, lineId, stage, copies, stationId, hoopId, way, names },
        ...(shared && {
          shared: {
            id: shared.at === 0 ? id : shared.id,
            at: shared.at,
            parts: shared.parts.map((part) => HoopShare.parse(part))
          }
        })
      }
    },
    at,
    client
  );
  return id;
}

/**
 * The run of the next item in a shared hoop: the one that is open, or one made ready now.
 *
 * @returns its id; null where it is over already, undefined where an item of the hoop is gone
 */
export async function nextInHoop(
  { order: own }: Pick<RunHead, 'order'>,
  id: string,
  at: number,
  client: string
): Promise<string | null | undefined> {
  const part = own?.shared?.parts[own.shared.at + 1];
  if (!own?.shared || !part) return null;
  const { shared } = own;
  const runs = await inSameHoop(own.orderId, shared.id);
  const next = runs.filter(({ order }) => order?.shared?.at === shared.at + 1);
  if (next.length > 0) return next.find(({ finishedAt }) => finishedAt === null)?.id ?? null;
  const table = await orderTable(own.orderId);
  const name = table?.input.items.find(({ item }) => item.id === part.itemId)?.item.name;
  if (!table || name === undefined) return undefined;
  return prepareHooping(
    table,
    {
      ...part,
      name,
      way: part.way ?? 'copy-by-copy',
      stage: 0,
      heads: [part.copies],
      stationId: own.stationId,
      hoopId: own.hoopId,
      shared: { ...shared, at: shared.at + 1 }
    },
    id,
    at,
    client
  );
}

/** A run of the same hoop that still has something to finish, once another is over; undefined where all is done. */
export async function leftInHoop({
  id,
  order: own
}: Pick<RunHead, 'id' | 'order'>): Promise<string | undefined> {
  if (!own?.shared) return undefined;
  const runs = await inSameHoop(own.orderId, own.shared.id);
  return runs.find((run) => run.id !== id && run.finishedAt === null)?.id;
}

async function inSameHoop(orderId: string, hoop: string): Promise<Run[]> {
  return (await runsOfOrder(orderId)).filter(({ order }) => order?.shared?.id === hoop);
}

/** `Badger luggage tab, 4 copies: Ivy, Otto` */
function runName({ name, copies, names }: Pick<PlannedHooping, 'name' | 'copies' | 'names'>): string {
  const count = copies > 1 ? `, ${copies} copies` : '';
  return `${name}${count}${names.length > 0 ? `: ${names.join(', ')}` : ''}`;
}
