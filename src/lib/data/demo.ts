import type { Order } from '$lib/core/documents/order';
import { addDays, differenceInCalendarDays, format, parseISO } from 'date-fns';
import { type DocumentResult, readValue } from '$lib/core/documents/files';
import { db } from './db';

/** The demo as the server sends it. */
export interface DemoPack {
  shop: unknown;
  items: unknown[];
  setups: unknown[];
  runs: unknown[];
  orders: unknown[];
  stash: unknown;
}

const LOADED = 'demo-loaded';

/** Whether the demo has ever been brought into this browser. */
export async function demoWasLoaded(): Promise<boolean> {
  return (await db.meta.get(LOADED)) !== undefined;
}

/** Whether this browser holds nothing yet. */
export async function isEmpty(): Promise<boolean> {
  return (await db.items.count()) === 0 && (await db.runs.count()) === 0;
}

/**
 * Brings the demo stall in: everything is checked first and stored in one go. What the maker has stays as it is:
 * their shop, and any item or run of the same id. A demo setup comes along only where its machine and hoop are
 * in the shop; without one an item is planned on the shop’s own. Orders begin in a week to come, on the day of the week they name.
 *
 * @param today ISO 8601, the day from which orders may begin
 *
 * @throws Error when a demo document is broken; nothing is stored then
 */
export async function loadDemo(pack: DemoPack, today = new Date().toISOString()): Promise<void> {
  const shop = must(readValue('shop', pack.shop));
  const items = pack.items.map((item) => must(readValue('item', item)));
  const setups = pack.setups.map((setup) => must(readValue('setup', setup)));
  const runs = pack.runs.map((run) => must(readValue('run', run)));
  const orders = pack.orders.map((order) => inTimeFor(must(readValue('order', order)), today));
  const { entries } = must(readValue('stash', pack.stash));
  const tables = [db.items, db.setups, db.shops, db.runs, db.events, db.orders, db.stash, db.meta];
  await db.transaction('rw', tables, async () => {
    const own = await db.shops.get(shop.id);
    if (!own) await db.shops.add(shop);
    const { machines, hoops } = own ?? shop;
    for (const item of items) {
      if (await db.items.get(item.id)) continue;
      await db.items.add(item);
      const setup = setups.find(({ itemId }) => itemId === item.id);
      const fits =
        machines.some(({ id }) => id === setup?.machineId) && hoops.some(({ id }) => id === setup?.hoopId);
      if (setup && fits) await db.setups.put(setup);
    }
    for (const { events, ...head } of runs) {
      if (await db.runs.get(head.id)) continue;
      await db.runs.add(head);
      await db.events.bulkAdd(events);
    }
    for (const order of orders) if (!(await db.orders.get(order.id))) await db.orders.add(order);
    for (const entry of entries) if (!(await db.stash.get(entry.id))) await db.stash.add(entry);
    await db.meta.put({ key: LOADED, value: true });
  });
}

const WEEK_DAYS = 7;

/** An order of the demo so many weeks later that it begins today or after: nobody wants to see one that is late already. */
function inTimeFor(order: Order, today: string): Order {
  const behind = differenceInCalendarDays(parseISO(today), parseISO(order.from));
  const days = Math.max(0, Math.ceil(behind / WEEK_DAYS) * WEEK_DAYS);
  const later = (at: string): string => format(addDays(parseISO(at), days), "yyyy-MM-dd'T'HH:mm");
  return days === 0 ? order : { ...order, from: later(order.from), due: order.due && later(order.due) };
}

function must<T>(result: DocumentResult<T>): T {
  if (!result.ok) throw new Error(result.error.message);
  return result.document;
}
