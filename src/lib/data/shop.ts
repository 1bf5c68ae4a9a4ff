import type { RunHead } from '$lib/core/documents/run';
import { defaultShop, type Learned, type Shop } from '$lib/core/documents/shop';
import { learnFromRuns } from '$lib/core/running/learning';
import { db } from './db';
import { SHOP_ID } from './edits';
import { readOne } from './rows';
import { MARKED, recentRuns } from './runs';

/** Runs that teach: as many of the latest as say something of how the maker works now. */
export const RECENT = 60;

/** What was learned last, as long as the runs are the same. */
let learned: { key: string; value: Learned } | undefined;

/**
 * The shop, or a new one that is not stored until somebody changes it. What an older one does not have takes the usual;
 * what the logged runs teach is computed and comes along.
 */
export async function getShop(): Promise<Shop> {
  const shop = readOne('shop', await db.shops.get(SHOP_ID)) ?? defaultShop(SHOP_ID);
  const taught = await learnedFromRuns(shop);
  return taught.runIds.length > 0 ? { ...shop, learned: taught } : shop;
}

async function learnedFromRuns({ hands }: Shop): Promise<Learned> {
  // Ids alone say whether anything is new; the runs themselves are large.
  const [finished, marked] = await Promise.all([
    db.runs.where('finishedAt').above('').primaryKeys(),
    db.meta.get(MARKED)
  ]);
  const key = JSON.stringify([finished, marked?.value, hands]);
  if (learned?.key !== key) learned = { key, value: learnFromRuns(await recentRuns(RECENT, teaches), hands) };
  return learned.value;
}

/** Whether a run is over and the maker learns from it. */
export const teaches = ({ finishedAt, leftOut }: Pick<RunHead, 'finishedAt' | 'leftOut'>): boolean =>
  finishedAt !== null && leftOut !== true;
