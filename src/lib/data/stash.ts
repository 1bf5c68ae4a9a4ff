import type { CutJob } from '$lib/core/documents/cutJob';
import { type DocumentError, readDocument } from '$lib/core/documents/files';
import { type Stash, STASH_VERSION, type StashChange, type StashEntry } from '$lib/core/documents/stash';
import { db } from './db';

/** Everything in the stash, by name. */
export function listStash(): Promise<StashEntry[]> {
  return db.stash.orderBy('name').toArray();
}

export async function saveEntry(entry: StashEntry): Promise<void> {
  await db.stash.put(entry);
}

export async function removeEntry(id: string): Promise<void> {
  await db.stash.delete(id);
}

/** The job of cutting for an item, where one has been begun. */
export function getCutJob(id: string): Promise<CutJob | undefined> {
  return db.cutJobs.get(id);
}

export async function saveCutJob(job: CutJob): Promise<void> {
  await db.cutJobs.put(job);
}

/**
 * Stores what a cut changed, the stash and the job together or not at all.
 *
 * @throws Error when an entry is not what the change began with, as when another tab has used it
 */
export async function applyCut(job: CutJob, changes: readonly StashChange[]): Promise<void> {
  await db.transaction('rw', db.stash, db.cutJobs, async () => {
    for (const { id, before, after } of changes) {
      const now = (await db.stash.get(id)) ?? null;
      if (JSON.stringify(now) !== JSON.stringify(before))
        throw new Error(
          `${(before ?? after)?.name ?? 'A cloth'} has been used meanwhile, so this cut is not stored. Plan anew.`
        );
      if (after) await db.stash.put(after);
      else await db.stash.delete(id);
    }
    await db.cutJobs.put(job);
  });
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
