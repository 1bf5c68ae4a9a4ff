import { DEFAULT_HAND_TIMES, defaultShop, type Shop } from '$lib/core/shop';
import { db } from './db';

/** One browser holds one shop. */
const SHOP_ID = 'shop';

/** The shop, or a new one that is not stored until somebody changes it. What an older one does not have takes the usual. */
export async function getShop(): Promise<Shop> {
  const usual = defaultShop(SHOP_ID);
  const stored = await db.shops.get(SHOP_ID);
  return stored ? { ...usual, ...stored, hands: { ...DEFAULT_HAND_TIMES, ...stored.hands } } : usual;
}

export async function saveShop(shop: Shop): Promise<void> {
  await db.shops.put({ ...shop, id: SHOP_ID });
}
