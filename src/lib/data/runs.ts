import type { Run, RunEvent, RunHead } from '$lib/core/documents/run';
import { db, type Photo } from './db';
import { readable, readOne } from './rows';

/** How often the maker has said something of a run, so that what was learned is learned anew. */
export const MARKED = 'runs-marked';

/** Runs, the latest first. */
async function listRuns(): Promise<RunHead[]> {
  return readable('run', await db.runs.orderBy('startedAt').reverse().toArray());
}

export async function getRun(id: string): Promise<RunHead | undefined> {
  return readOne('run', await db.runs.get(id));
}

/** Events of a run in the order they happened. */
export function eventsOf(runId: string): Promise<RunEvent[]> {
  return db.events.where('[runId+seq]').between([runId, 0], [runId, Infinity]).toArray();
}

/** Every run with its events, the latest first. */
export async function runDocuments(): Promise<Run[]> {
  const [heads, events] = await Promise.all([listRuns(), db.events.toArray()]);
  const byRun = new Map<string, RunEvent[]>();
  for (const event of events) {
    const own = byRun.get(event.runId);
    if (own) own.push(event);
    else byRun.set(event.runId, [event]);
  }
  return heads.map((head) => ({ ...head, events: byRun.get(head.id) ?? [] }));
}

/** The latest runs that are over, with their events; only they are read, however many there are. */
export async function recentRuns(
  most: number,
  wanted: (head: RunHead) => boolean = () => true
): Promise<Run[]> {
  const heads = readable(
    'run',
    await db.runs
      .orderBy('startedAt')
      .reverse()
      .filter((head) => head.finishedAt !== null && wanted(head))
      .limit(most)
      .toArray()
  );
  const ids = heads.map(({ id }) => id);
  const events = await db.events.where('runId').anyOf(ids).toArray();
  return heads.map((head) => ({ ...head, events: events.filter(({ runId }) => runId === head.id) }));
}

/** Photos of a run, in the order they were taken. */
export async function photosOf(runId: string): Promise<Photo[]> {
  return (await db.photos.where('runId').equals(runId).toArray()).sort((a, b) => a.at - b.at);
}

export async function addPhoto(photo: Photo): Promise<void> {
  await db.photos.add(photo);
}

export async function removePhoto(id: string): Promise<void> {
  await db.photos.delete(id);
}

/** A run with its events, as one document. */
export async function runDocument(id: string): Promise<Run | undefined> {
  const head = await getRun(id);
  return head && { ...head, events: await eventsOf(id) };
}

/** Runs looked at together for those that are not over. */
const LOOKED_AT = 100;

/** Runs that are under way, the latest first, found without reading the others. */
export async function openRuns(): Promise<RunHead[]> {
  const [all, over] = await Promise.all([db.runs.count(), db.runs.where('finishedAt').above('').count()]);
  const open: RunHead[] = [];
  // An index does not hold what is missing, so the latest are looked at first until as many are found as there are.
  for (let from = 0; open.length < all - over && from < all; from += LOOKED_AT) {
    const latest = db.runs.orderBy('startedAt').reverse().offset(from).limit(LOOKED_AT);
    const [ids, starts] = await Promise.all([latest.primaryKeys(), latest.clone().keys()]);
    const done = new Set(
      await db.runs
        .where('finishedAt')
        .aboveOrEqual(String(starts.at(-1)))
        .primaryKeys()
    );
    // The clock may have been set back while a run went on, so the run itself is asked.
    const rows = await db.runs.bulkGet(ids.filter((id) => !done.has(id)));
    open.push(...rows.flatMap((row) => (row?.finishedAt === null ? [row] : [])));
  }
  return readable('run', open);
}
