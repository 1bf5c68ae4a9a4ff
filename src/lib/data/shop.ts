import { defaultShop, type Shop } from '$lib/core/shop';
import { db } from './db';

/** One browser holds one shop. */
const SHOP_ID = 'shop';

/** The shop, or a new one that is not stored until somebody changes it. */
export async function getShop(): Promise<Shop> {
  return (await db.shops.get(SHOP_ID)) ?? defaultShop(SHOP_ID);
}

export async function saveShop(shop: Shop): Promise<void> {
  await db.shops.put({ ...shop, id: SHOP_ID });
}
