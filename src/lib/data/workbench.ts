import type { Item } from '$lib/core/item';
import { plan, type Plan } from '$lib/core/plan';
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

/** Every item with its plan, for the shelf. */
export async function plannedItems(): Promise<{ item: Item; plan: Plan }[]> {
  const [items, setups, shop] = await Promise.all([listItems(), db.setups.toArray(), getShop()]);
  const setupOf = new Map(setups.map((setup) => [setup.itemId, setup]));
  return items.map((item) => ({ item, plan: plan(item, setupOf.get(item.id), shop) }));
}
