import type { Appearance } from '$lib/core/making/appearance';
import type { RunSummary } from '$lib/core/running/runs';
import { db } from './db';
import { type LastRun, type StoredSummary, SUMMARY_VERSION } from './storedSummary';

/** What the shelf lists: every item by its name, the last worked on first, read from indexes alone. */
export interface ShelfRow {
  id: string;
  name: string;
  away: boolean;
}

/** Every item by its name; no item is read for it. */
export async function shelfRows(): Promise<ShelfRow[]> {
  const [ids, named, names, away] = await Promise.all([
    db.items.orderBy('updatedAt').reverse().primaryKeys(),
    db.items.orderBy('name').primaryKeys(),
    db.items.orderBy('name').keys(),
    db.items.orderBy('putAwayAt').primaryKeys()
  ]);
  const nameOf = new Map(named.map((id, at) => [id, String(names[at])]));
  const isAway = new Set(away);
  return ids.map((id) => ({ id, name: nameOf.get(id) ?? id, away: isAway.has(id) }));
}

/** How items look, by item, as far as their summaries are made. */
export async function looksOf(ids: readonly string[]): Promise<Record<string, Appearance>> {
  const found = await summariesOf([...new Set(ids)]);
  return Object.fromEntries(
    found.flatMap((each) => (each?.summary?.look ? [[each.id, each.summary.look] as const] : []))
  );
}

/** Summaries of some items, in their order; undefined for one that is not made yet. */
export async function summariesOf(ids: readonly string[]): Promise<(StoredSummary | undefined)[]> {
  const found = await db.itemSummaries.bulkGet([...ids]);
  // One of an older Jolt Step holds other things and is made anew in a moment.
  return found.map((each) => (each?.stamp.startsWith(`${SUMMARY_VERSION} `) ? each : undefined));
}

/** The last run that is over with what it taught; undefined until that is computed. */
export async function lastRun(): Promise<LastRun | null | undefined> {
  const found = await db.computed.get('last-run');
  return found?.key === 'last-run' ? found.value : undefined;
}

/** What runs short in the stash, the shortest first, in words. */
export async function shortInStash(most: number): Promise<string[]> {
  const found = await db.computed.get('short');
  return found?.key === 'short' ? found.value.slice(0, most) : [];
}

/** How many runs are over, and summaries of the latest of them. */
export async function loggedRuns(most: number): Promise<{ count: number; runs: RunSummary[] }> {
  const [count, runs] = await Promise.all([
    db.runs.where('finishedAt').above('').count(),
    db.runSummaries.orderBy('startedAt').reverse().limit(most).toArray()
  ]);
  return { count, runs };
}

/**
 * Runs that tell of an item: its own that are over, and those that taught how long things take; the latest first.
 *
 * @param taught ids of the runs that taught
 */
export async function runsThatTell(
  itemId: string,
  taught: readonly string[]
): Promise<{ logged: RunSummary[]; teachers: RunSummary[] }> {
  const read = async (ids: readonly string[]): Promise<RunSummary[]> =>
    (await db.runSummaries.bulkGet([...ids]))
      .flatMap((run) => run ?? [])
      .sort((a, b) => b.startedAt.localeCompare(a.startedAt));
  const own = await db.runs.where('itemId').equals(itemId).primaryKeys();
  return { logged: await read(own), teachers: await read(taught) };
}

/** Ids of items that answer to a search, by what their summaries hold; no item is read for it. */
export async function searchShelf(text: string): Promise<Set<string>> {
  const [ids, words] = await Promise.all([
    db.itemSummaries.orderBy('words').primaryKeys(),
    db.itemSummaries.orderBy('words').keys()
  ]);
  const wanted = text.trim().toLowerCase();
  return new Set(ids.filter((_, at) => String(words[at]).includes(wanted)));
}
