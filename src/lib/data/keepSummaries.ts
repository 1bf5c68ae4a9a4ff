import { readRow } from '$lib/core/documents/files';
import type { Item } from '$lib/core/documents/item';
import { itemSummary } from '$lib/core/making/summary';
import { runningShort } from '$lib/core/preparing/stash';
import { runSummary } from '$lib/core/running/runs';
import { liveQuery } from 'dexie';
import { db } from './db';
import { listSetups } from './items';
import { refreshLearned } from './learned';
import { MARKED, runDocument } from './runs';
import { getShop } from './shop';
import { listStash } from './stash';
import { type StoredSummary, SUMMARY_VERSION } from './storedSummary';

/** Summaries made before they are written, so that the first are shown soon. */
const BATCH = 25;

/**
 * Makes summaries of whatever has changed, and again whenever something changes. Meant for a worker; of several tabs one does
 * it at a time.
 *
 * @returns what ends it
 */
export function keepSummaries(): () => void {
  let working = false;
  let again = false;
  const refresh = async (): Promise<void> => {
    again = true;
    if (working) return;
    working = true;
    try {
      while (again) {
        again = false;
        await navigator.locks.request('jolt-step-summaries', async () => {
          await refreshLearned();
          await refreshItems();
          await refreshRuns();
        });
      }
    } catch (problem) {
      // The next change tries again.
      failed(problem);
    } finally {
      working = false;
    }
  };
  const failed = (problem: unknown): void => console.error('Summaries could not be made.', problem);
  const watching = liveQuery(async () => [
    await itemStamps(),
    await unsummarised(),
    await db.meta.get(MARKED)
  ]).subscribe({ next: () => void refresh(), error: failed });
  const stash = liveQuery(async () => runningShort(await listStash(), (await getShop()).unit)).subscribe({
    next: (value) => void db.computed.put({ key: 'short', stamp: '', value }).catch(failed),
    error: failed
  });
  return () => {
    watching.unsubscribe();
    stash.unsubscribe();
  };
}

/** What the summary of each item is to be made from. */
async function itemStamps(): Promise<Map<string, string>> {
  const [ids, dates, setups, shop] = await Promise.all([
    db.items.orderBy('updatedAt').primaryKeys(),
    db.items.orderBy('updatedAt').keys(),
    listSetups(),
    getShop()
  ]);
  const shopStamp = hash(JSON.stringify(shop));
  const setupStamp = new Map(setups.map((setup) => [setup.itemId, hash(JSON.stringify(setup))]));
  return new Map(
    ids.map((id, at) => [
      id,
      `${SUMMARY_VERSION} ${String(dates[at])} ${setupStamp.get(id) ?? ''} ${shopStamp}`
    ])
  );
}

/** Makes the summaries that are missing or made from something else, and takes those out whose item is gone. */
export async function refreshItems(): Promise<void> {
  const [wanted, made, stamps] = await Promise.all([
    itemStamps(),
    db.itemSummaries.orderBy('stamp').primaryKeys(),
    db.itemSummaries.orderBy('stamp').keys()
  ]);
  const madeOf = new Map(made.map((id, at) => [id, stamps[at]]));
  await db.itemSummaries.bulkDelete(made.filter((id) => !wanted.has(id)));
  // The last worked on stand first on the shelf.
  const stale = [...wanted].filter(([id, stamp]) => madeOf.get(id) !== stamp).reverse();
  const shop = await getShop();
  for (let from = 0; from < stale.length; from += BATCH) {
    const batch = stale.slice(from, from + BATCH);
    const ids = batch.map(([id]) => id);
    const [rows, setups] = await Promise.all([db.items.bulkGet(ids), db.setups.bulkGet(ids)]);
    await db.itemSummaries.bulkPut(
      batch.flatMap(([id, stamp], at): StoredSummary[] => {
        const row = rows[at];
        return row ? [{ id, stamp, ...madeFrom(row, setups[at], shop) }] : [];
      })
    );
  }
}

/** A summary of a row; whatever goes wrong is said of this item and stops no other. */
function madeFrom(
  row: object,
  setupRow: object | undefined,
  shop: Awaited<ReturnType<typeof getShop>>
): Pick<StoredSummary, 'summary' | 'problem' | 'words'> {
  const item = readRow('item', row);
  if (!item.ok) return { summary: null, words: nameOf(row), problem: item.error.message };
  const words = searchWords(item.document);
  const setup = setupRow && readRow('setup', setupRow);
  try {
    return {
      summary: itemSummary(item.document, setup?.ok ? setup.document : undefined, shop),
      words,
      problem: null
    };
  } catch (problem) {
    const why = problem instanceof Error ? problem.message : String(problem);
    return { summary: null, words, problem: `This item cannot be planned as it stands: ${why}` };
  }
}

function searchWords({ name, note, threads, pieces }: Item): string {
  const words = [
    name,
    note,
    ...threads.map((thread) => thread.name),
    ...pieces.map((piece) => piece.material.name)
  ];
  return words.join(' ').toLowerCase();
}

const nameOf = (row: object): string =>
  'name' in row && typeof row.name === 'string' ? row.name.toLowerCase() : '';

/** Runs that are over and have no summary yet. */
async function unsummarised(): Promise<string[]> {
  const [over, made] = await Promise.all([
    db.runs.where('finishedAt').above('').primaryKeys(),
    db.runSummaries.toCollection().primaryKeys()
  ]);
  const known = new Set(made);
  return over.filter((id) => !known.has(id));
}

/** Makes the summaries of runs that have none: a run that is over does not change any more. */
export async function refreshRuns(): Promise<void> {
  const [over, made] = await Promise.all([
    db.runs.where('finishedAt').above('').primaryKeys(),
    db.runSummaries.toCollection().primaryKeys()
  ]);
  const there = new Set(over);
  await db.runSummaries.bulkDelete(made.filter((id) => !there.has(id)));
  const missing = await unsummarised();
  for (let from = 0; from < missing.length; from += BATCH) {
    const runs = await Promise.all(missing.slice(from, from + BATCH).map(runDocument));
    await db.runSummaries.bulkPut(runs.flatMap((run) => (run && runSummary(run)) ?? []));
  }
}

/** A short number for a long text; equal texts have equal ones (FNV-1a, 32 bit). */
function hash(text: string): string {
  let value = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) value = Math.imul(value ^ text.charCodeAt(at), 0x01000193);
  return (value >>> 0).toString(36);
}
