import type { RunHead } from '$lib/core/documents/run';
import { defaultShop, Learned, type Shop } from '$lib/core/documents/shop';
import { db } from './db';
import { SHOP_ID } from './edits';
import { readOne } from './rows';

/** Runs that teach: as many of the latest as say something of how the maker works now. */
export const RECENT = 60;

/**
 * The shop, or a new one that is not stored until somebody changes it. What an older one does not have takes the usual;
 * what the logged runs taught is computed by a worker (`refreshLearned`) and comes along.
 */
export async function getShop(): Promise<Shop> {
  const [row, learned] = await Promise.all([db.shops.get(SHOP_ID), db.computed.get('learned')]);
  const shop = readOne('shop', row) ?? defaultShop(SHOP_ID);
  // One that an older program computed is computed anew by the worker.
  const known = learned?.key === 'learned' ? Learned.safeParse(learned.value).data : undefined;
  return known && known.runIds.length + known.counts.length > 0 ? { ...shop, learned: known } : shop;
}

/** Whether a run is over and the maker learns from it. */
export const teaches = ({ finishedAt, leftOut }: Pick<RunHead, 'finishedAt' | 'leftOut'>): boolean =>
  finishedAt !== null && leftOut !== true;
