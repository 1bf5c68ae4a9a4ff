import { type Backup, type Choice, emptyBackup, takenOver } from '$lib/core/documents/files';
import { picturesIn } from '$lib/core/documents/item';
import { asText, type Everything, everything, makeBackup, rowsOf, storedDocuments } from './backup';
import { freshId } from './client';
import { db } from './db';
import { editHistory } from './history';
import type { Table } from 'dexie';

/** What is handed over: one item with its setup, a run with its item, or everything. */
export type Handed = { what: 'item' | 'run'; id: string } | { what: 'all' };

/**
 * What is handed to another device, as a backup of it alone.
 *
 * @param now ISO 8601
 */
export async function handedOver(handed: Handed, now: string): Promise<Backup> {
  if (handed.what === 'all') return makeBackup(now);
  const all = await storedDocuments();
  const runs = handed.what === 'run' ? all.runs.filter(({ id }) => id === handed.id) : [];
  const wanted = new Set(handed.what === 'run' ? runs.map(({ itemId }) => itemId) : [handed.id]);
  const items = all.items.filter(({ id }) => wanted.has(id));
  const shown = [...new Set(items.flatMap(picturesIn))];
  const photos = await db.photos
    .where('runId')
    .anyOf(runs.map(({ id }) => id))
    .toArray();
  const pictures = (await db.pictures.bulkGet(shown)).filter((picture) => picture !== undefined);
  return {
    ...emptyBackup(),
    at: now,
    items,
    runs,
    setups: all.setups.filter(({ itemId }) => wanted.has(itemId)),
    photos: await Promise.all(photos.map(asText)),
    pictures: await Promise.all(pictures.map(asText))
  };
}

/** What is here, to be compared: documents without the pictures themselves. */
export async function documentsHere(): Promise<Backup> {
  const photos = await db.photos.toArray();
  return {
    ...emptyBackup(),
    ...(await storedDocuments()),
    photos: photos.map(({ id, runId, at, stepId, name }) => ({
      id,
      runId,
      at,
      stepId,
      name,
      type: '',
      base64: ''
    }))
  };
}

/**
 * Takes over what another device has: what is new, what the maker chose, and runs event by event. Nothing that is here is lost
 * unless it was chosen so.
 *
 * @returns everything as it was before, to take it back
 * @throws Error where the browser cannot store it; nothing is changed then
 */
export async function takeOver(there: Backup, choices: ReadonlyMap<string, Choice>): Promise<Everything> {
  const before = await everything();
  const taken = takenOver(await documentsHere(), there, choices, freshId);
  const rows = rowsOf({ ...there, ...taken, meta: [] });
  editHistory.forget();
  await db.transaction('rw', db.tables, async () => {
    // Events are numbered anew where two devices wrote one run.
    for (const { id } of taken.runs) await db.events.where('runId').equals(id).delete();
    for (const [name, list] of rows)
      if (list.length > 0) await (db.table(name) as Table<object>).bulkPut([...list]);
  });
  return before;
}
