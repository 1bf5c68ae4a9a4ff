import type { RunHead } from '$lib/core/documents/run';
import { defaultShop, type Shop } from '$lib/core/documents/shop';
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
  return learned?.key === 'learned' && learned.value.runIds.length > 0
    ? { ...shop, learned: learned.value }
    : shop;
}

/** Whether a run is over and the maker learns from it. */
export const teaches = ({ finishedAt, leftOut }: Pick<RunHead, 'finishedAt' | 'leftOut'>): boolean =>
  finishedAt !== null && leftOut !== true;
