import type { CutJob } from '$lib/core/documents/cutJob';
import { type DocumentError, readDocument } from '$lib/core/documents/files';
import { type Stash, STASH_VERSION, type StashEntry } from '$lib/core/documents/stash';
import { db } from './db';
import { readable, readOne } from './rows';

/** Everything in the stash, by name. */
export async function listStash(): Promise<StashEntry[]> {
  return readable('line of the stash', await db.stash.orderBy('name').toArray());
}

/** The job of cutting for an item, where one has been begun. */
export async function getCutJob(id: string): Promise<CutJob | undefined> {
  return readOne('cut job', await db.cutJobs.get(id));
}

/** The stash as one document. */
export async function stashDocument(): Promise<Stash> {
  return { schema: 'jolt-step/stash', version: STASH_VERSION, entries: await listStash() };
}

/**
 * Brings a stash in from the text of a file: its lines come beside those that are there, and one of the same id is
 * left as it is here. When the file is refused nothing changes.
 *
 * @returns how many lines came in
 */
export async function importStash(
  text: string
): Promise<{ ok: true; added: number } | { ok: false; error: DocumentError }> {
  const read = readDocument('stash', text);
  if (!read.ok) return read;
  return db.transaction('rw', db.stash, async () => {
    const known = new Set((await db.stash.toArray()).map(({ id }) => id));
    const fresh = read.document.entries.filter(({ id }) => !known.has(id));
    await db.stash.bulkAdd(fresh);
    return { ok: true as const, added: fresh.length };
  });
}
