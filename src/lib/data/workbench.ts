import { db } from './db';
import { getItem, getSetup, listItems, listSetups } from './items';
import { type CutJob, newCutJob } from '$lib/core/documents/cutJob';
import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Run } from '$lib/core/documents/run';
import type { Setup, Shop } from '$lib/core/documents/shop';
import type { StashEntry } from '$lib/core/documents/stash';
import { review } from '$lib/core/making/checks';
import { bobbinMeasures } from '$lib/core/running/learning';
import { recentRuns } from './runs';
import { getShop } from './shop';
import { getCutJob, listStash } from './stash';

/** An item with what its plan is made from. */
export interface ItemOnBench {
  item: Item;
  setup: Setup | undefined;
  shop: Shop;
}

/** One item with its setup and the shop; `item` is undefined when there is none of that id. */
export async function itemOnBench(id: string): Promise<ItemOnBench | { item: undefined }> {
  const [item, setup, shop] = await Promise.all([getItem(id), getSetup(id), getShop()]);
  return item ? { item, setup, shop } : { item: undefined };
}

/** An item with its plan, and how much of it there is to look at before it is stitched. */
export interface PlannedItem {
  item: Item;
  plan: Plan;
  toLookAt: number;
}

/** What was planned before, as long as item, setup and shop are the same. */
const known = new Map<string, { key: string; planned: PlannedItem }>();

/** Every item with its plan, for the shelf. */
export async function plannedItems(): Promise<PlannedItem[]> {
  const [items, setups, shop] = await Promise.all([listItems(), listSetups(), getShop()]);
  const setupOf = new Map(setups.map((setup) => [setup.itemId, setup]));
  const shopKey = JSON.stringify(shop);
  return items.map((item): PlannedItem => {
    const key = `${item.updatedAt} ${JSON.stringify(setupOf.get(item.id))} ${shopKey}`;
    const before = known.get(item.id);
    if (before?.key === key) return { ...before.planned, item };
    const { plan, checked } = review(item, setupOf.get(item.id), shop);
    const said = [...plan.warnings, ...checked.open];
    const planned = { item, plan, toLookAt: said.filter(({ severity }) => severity !== 'note').length };
    known.set(item.id, { key, planned });
    return planned;
  });
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
  runs: Run[];
  /** What logged run-outs measured of the bobbins. */
  measured: number[];
}

/** Runs that say something of bobbins, needles and times: enough for years of a small workroom. */
export const THREAD_RUNS = 400;

/** The thread table of an item; undefined when there is no such item. */
export async function threadTable(id: string): Promise<ThreadTable | undefined> {
  const [item, setup, shop, stash, runs] = await Promise.all([
    getItem(id),
    getSetup(id),
    getShop(),
    listStash(),
    recentRuns(THREAD_RUNS)
  ]);
  if (!item) return undefined;
  return { item, setup, shop, stash, runs, measured: runs.flatMap(bobbinMeasures) };
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
