import type { RunEvent, RunHead } from '$lib/core/documents/run';
import type { BobbinKind, BobbinOn } from '$lib/core/documents/shop';
import { db, type Photo } from './db';
import { changeSetup } from './edits';
import { append } from './runEvents';
import { eventsOf, getRun, MARKED, photosOf } from './runs';
import { putThreadBack, takeThread } from './spentThread';

/**
 * What is in the machine before a run starts: kept with the run, whose lists follow, and with the item’s setup for the next
 * time.
 */
export async function keepBobbin(runId: string, kind: BobbinKind, on: BobbinOn | undefined): Promise<void> {
  const head = await getRun(runId);
  if (!head) return;
  const asked = <T extends { bobbinOn?: BobbinOn | undefined }>(known: T): T => {
    const own = { ...known };
    if (on) own.bobbinOn = on;
    else delete own.bobbinOn;
    return own;
  };
  const setup = { ...asked(head.setup), bobbinKind: kind.id };
  await db.runs.put({ ...head, setup, plan: { ...asked(head.plan), bobbin: kind } });
  await changeSetup(head.itemId, (now) => ({ ...asked(now), bobbinKind: kind.id }), null);
}

/** Changes what the maker says of a run: whether it teaches, and a note. */
export async function markRun(
  id: string,
  change: Partial<Pick<RunHead, 'leftOut' | 'note' | 'trouble'>>
): Promise<void> {
  await db.transaction('rw', db.runs, db.runSummaries, db.meta, async () => {
    await db.runs.update(id, change);
    if (change.leftOut !== undefined) await db.runSummaries.update(id, { leftOut: change.leftOut });
    if (change.trouble !== undefined) await db.runSummaries.update(id, { trouble: change.trouble });
    await markAll();
  });
}

/** How often something was said of runs that are over; what is computed from them is computed anew then. */
async function markAll(): Promise<void> {
  const marks = (await db.meta.get(MARKED))?.value;
  await db.meta.put({ key: MARKED, value: (typeof marks === 'number' ? marks : 0) + 1 });
}

/**
 * Mends the time of a step in the log, whether the run is over or not.
 *
 * @param seconds as it really was
 */
export async function mendTime(
  runId: string,
  stepId: string,
  seconds: number,
  at: number,
  client: string
): Promise<void> {
  await db.transaction('rw', [db.runs, db.events, db.runSummaries, db.meta, db.stash], async () => {
    await append(runId, { type: 'mend-time', stepId, seconds }, at, client);
    // Its summary is made anew.
    await db.runSummaries.delete(runId);
    await markAll();
  });
}

/** A run with all that is kept of it, to bring it back. */
export interface DeletedRun {
  head: RunHead;
  events: RunEvent[];
  photos: Photo[];
}

/** Deletes a run with its events and photos; gives what brings it back, or undefined where there is none. */
export async function deleteRun(id: string): Promise<DeletedRun | undefined> {
  const tables = [db.runs, db.events, db.photos, db.runSummaries, db.meta, db.stash];
  return db.transaction('rw', tables, async () => {
    const head = await db.runs.get(id);
    if (!head) return undefined;
    const deleted = { head, events: await eventsOf(id), photos: await photosOf(id) };
    await db.runs.delete(id);
    await db.events.where('runId').equals(id).delete();
    await db.photos.where('runId').equals(id).delete();
    await db.runSummaries.delete(id);
    // What never ran took no thread.
    await putThreadBack(head.spent ?? []);
    await markAll();
    return deleted;
  });
}

/** Brings a deleted run back. */
export async function bringRunBack({ head, events, photos }: DeletedRun): Promise<void> {
  await db.transaction('rw', db.runs, db.events, db.photos, db.meta, db.stash, async () => {
    await db.runs.put(head);
    await takeThread(head.spent ?? []);
    await db.events.bulkPut(events);
    await db.photos.bulkPut(photos);
    await markAll();
  });
}
