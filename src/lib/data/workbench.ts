import { db } from './db';
import { getItem, getSetup, listItems, listSetups } from './items';
import { type CutJob, newCutJob } from '$lib/core/documents/cutJob';
import { readRow } from '$lib/core/documents/files';
import type { Item } from '$lib/core/documents/item';
import type { Setup, Shop } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import type { NeedleTimes } from '$lib/core/running/runs';
import { bobbinsMeasured, needlesLogged } from './learned';
import { getShop } from './shop';
import { getCutJob, listStash } from './stash';

/** An item with what its plan is made from. */
export interface ItemOnBench {
  item: Item;
  setup: Setup | undefined;
  shop: Shop;
}

/** There is no item of an id, or one that cannot be read: then what is wrong with it, and the row. */
export interface NoItem {
  item: undefined;
  aside: { name: string; problem: string; row: object } | null;
}

/** One item with its setup and the shop. */
export async function itemOnBench(id: string): Promise<ItemOnBench | NoItem> {
  const [row, setup, shop] = await Promise.all([db.items.get(id), getSetup(id), getShop()]);
  if (!row) return { item: undefined, aside: null };
  const read = readRow('item', row);
  return read.ok
    ? { item: read.document, setup, shop }
    : { item: undefined, aside: { name: row.name, problem: read.error.message, row } };
}

/** What lies on the cutting mat for an item: its job, every item cut with it, and the stash. */
export interface CuttingMat {
  job: CutJob;
  wants: { item: Item; setup: Setup | undefined; copies: number }[];
  /** Items that could be cut along with it. */
  others: Item[];
  stash: StashEntry[];
  shop: Shop;
}

/** The cutting mat of an item; undefined when there is no such item. */
export async function cuttingMat(id: string): Promise<CuttingMat | undefined> {
  const [items, setups, shop, stash, stored] = await Promise.all([
    listItems(),
    listSetups(),
    getShop(),
    listStash(),
    getCutJob(id)
  ]);
  if (!items.some((item) => item.id === id)) return undefined;
  const job = stored ?? newCutJob(id, setups.find(({ itemId }) => itemId === id)?.copies ?? 1);
  return { job, ...wantedOf(job.wants, items, setups), stash, shop };
}

/** What the threads of an item are planned from. */
export interface ThreadTable {
  item: Item;
  setup: Setup | undefined;
  shop: Shop;
  stash: StashEntry[];
  /** What runs did to needles. */
  needles: NeedleTimes[];
  /** What logged run-outs measured of the bobbins. */
  measured: number[];
}

/** The thread table of an item; undefined when there is no such item. */
export async function threadTable(id: string): Promise<ThreadTable | undefined> {
  const [item, setup, shop, stash, needles, measured] = await Promise.all([
    getItem(id),
    getSetup(id),
    getShop(),
    listStash(),
    needlesLogged(),
    bobbinsMeasured()
  ]);
  if (!item) return undefined;
  return { item, setup, shop, stash, needles, measured };
}

const SHOPPING = 'shopping-wants';
type Wants = CutJob['wants'];

/** What is bought for: the items chosen for the shopping list, with the stash. */
export async function shoppingMat(): Promise<CuttingMat> {
  const [items, setups, shop, stash, stored] = await Promise.all([
    listItems(),
    listSetups(),
    getShop(),
    listStash(),
    db.meta.get(SHOPPING)
  ]);
  const wants = (stored?.value ?? []) as Wants;
  const job = { ...newCutJob(SHOPPING, 1), wants };
  return { job, ...wantedOf(wants, items, setups), stash, shop };
}

/** Remembers what the shopping list is for. */
export async function keepShoppingWants(wants: Wants): Promise<void> {
  await db.meta.put({ key: SHOPPING, value: wants });
}

function wantedOf(wants: Wants, items: Item[], setups: Setup[]): Pick<CuttingMat, 'wants' | 'others'> {
  const found = wants.flatMap(({ itemId, copies }) => {
    const item = items.find((each) => each.id === itemId);
    return item ? [{ item, setup: setups.find((setup) => setup.itemId === itemId), copies }] : [];
  });
  const taken = new Set(found.map(({ item }) => item.id));
  return {
    wants: found,
    others: items.filter((item) => !taken.has(item.id) && item.putAwayAt === undefined)
  };
}
