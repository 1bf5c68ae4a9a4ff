import { review } from '$lib/core/checks';
import type { Item } from '$lib/core/item';
import type { Plan } from '$lib/core/plan';
import type { Setup, Shop } from '$lib/core/shop';
import { db } from './db';
import { getItem, getSetup, listItems } from './items';
import { getShop } from './shop';

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
  const [items, setups, shop] = await Promise.all([listItems(), db.setups.toArray(), getShop()]);
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
