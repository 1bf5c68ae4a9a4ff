import type { Item } from '$lib/core/documents/item';
import type { Order } from '$lib/core/documents/order';
import type { Run } from '$lib/core/documents/run';
import { type BatchInput, type Progress, progressOf } from '$lib/core/ordering/day';
import type { WeekInput } from '$lib/core/ordering/week';
import type { LoggedFaults } from '$lib/core/running/learning';
import { format } from 'date-fns';
import { getItem, getSetup, listItems } from './items';
import { bobbinsMeasured, faultsLogged } from './learned';
import { getOrder, listOrders, runsOfOrder } from './orders';
import { getShop } from './shop';

/** Every order with how far it has come, the last worked on first. */
export async function ordersWithProgress(): Promise<{ order: Order; progress: Progress }[]> {
  const orders = await listOrders();
  return Promise.all(
    orders.map(async (order) => ({ order, progress: progressOf(await runsOfOrder(order.id)) }))
  );
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
  /** Faults that runs logged. */
  logged: LoggedFaults | null;
  /** What logged run-outs measured of the bobbins. */
  measured: number[];
  /** Items on the shelf, for a line more. */
  shelf: Pick<Item, 'id' | 'name' | 'construction' | 'params'>[];
}

/** An order with its items, their setups, the shop and how far its runs have come. */
export async function orderTable(id: string): Promise<OrderTable | undefined> {
  const order = await getOrder(id);
  if (!order) return undefined;
  const [shop, items, runs, logged, measured] = await Promise.all([
    getShop(),
    listItems(),
    runsOfOrder(id),
    faultsLogged(),
    bobbinsMeasured()
  ]);
  const wanted = new Set(order.lines.map(({ itemId }) => itemId));
  const setups = await Promise.all([...wanted].map(getSetup));
  return {
    order,
    runs,
    logged,
    measured,
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
