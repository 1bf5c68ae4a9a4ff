import { learnFromRuns } from '$lib/core/run';
import { DEFAULT_HAND_TIMES, defaultShop, type Learned, type Shop } from '$lib/core/shop';
import { db } from './db';

/** One browser holds one shop. */
const SHOP_ID = 'shop';

/** Runs that teach: as many of the latest as say something of how the maker works now. */
const RECENT = 60;

/** What was learned last, as long as the runs are the same. */
let learned: { key: string; value: Learned } | undefined;

/**
 * The shop, or a new one that is not stored until somebody changes it. What an older one does not have takes the usual;
 * what the logged runs teach is computed and comes along.
 */
export async function getShop(): Promise<Shop> {
  const usual = defaultShop(SHOP_ID);
  const stored = await db.shops.get(SHOP_ID);
  const shop = stored ? { ...usual, ...stored, hands: { ...DEFAULT_HAND_TIMES, ...stored.hands } } : usual;
  const taught = await learnedFromRuns(shop);
  return taught.runIds.length > 0 ? { ...shop, learned: taught } : shop;
}

async function learnedFromRuns({ hands }: Shop): Promise<Learned> {
  const heads = await db.runs
    .orderBy('startedAt')
    .reverse()
    .filter(({ finishedAt, leftOut }) => finishedAt !== null && leftOut !== true)
    .limit(RECENT)
    .toArray();
  const key = JSON.stringify([heads.map(({ id, finishedAt }) => [id, finishedAt]), hands]);
  if (learned?.key === key) return learned.value;
  const ids = heads.map(({ id }) => id);
  const events = await db.events.where('runId').anyOf(ids).toArray();
  const runs = heads.map((head) => ({ ...head, events: events.filter(({ runId }) => runId === head.id) }));
  learned = { key, value: learnFromRuns(runs, hands) };
  return learned.value;
}

export async function saveShop(shop: Shop): Promise<void> {
  const kept = { ...shop, id: SHOP_ID };
  delete kept.learned;
  await db.shops.put(kept);
}
