import type { Run, RunEvent, RunHead } from '$lib/core/documents/run';
import { fitsScreen, foldRun, followMachine } from '$lib/core/running/runs';
import type { MachineEvent } from '$lib/core/running/standIn';
import type { BobbinKind, BobbinOn } from '$lib/core/documents/shop';
import { db, type Photo } from './db';
import { changeSetup } from './edits';
import { readable, readOne } from './rows';

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

/** Makes a run ready: its head and its first event are stored together or not at all. It starts when the maker says so. */
export async function prepareRun(head: RunHead, at: number, client: string): Promise<void> {
  await db.transaction('rw', db.runs, db.events, async () => {
    await db.runs.add(head);
    await db.events.add(newEvent(head.id, 1, { type: 'prepare', stepId: null, clock: 1 }, at, client));
  });
}

export type EventDraft = Pick<RunEvent, 'type' | 'stepId'> &
  Partial<Pick<RunEvent, 'stop' | 'stitch' | 'text' | 'fault' | 'to' | 'seconds' | 'from' | 'clock'>>;

/**
 * Appends an event to a run. The next number is taken inside the transaction, so two tabs never write the
 * same one; the screen moves only when this has resolved.
 *
 * @param at milliseconds since 1970
 * @returns the event; undefined for a press that names another step than the one on the screen, which is not stored
 * @throws Error when the browser cannot store it, as when its storage is full
 */
export async function appendEvent(
  runId: string,
  draft: EventDraft,
  at: number,
  client: string
): Promise<RunEvent | undefined> {
  return db.transaction('rw', db.runs, db.events, () => append(runId, draft, at, client));
}

/**
 * Stores what an event of a followed machine means to a run. It is told of once, however many tabs follow and however
 * often the connection comes back: the number of the last one told is looked up in the same transaction.
 *
 * @param at milliseconds since 1970; never before the run’s last event
 * @returns how many events it made
 */
export async function appendFromMachine(
  runId: string,
  session: string,
  told: MachineEvent,
  at: number,
  client: string
): Promise<number> {
  return db.transaction('rw', db.runs, db.events, async () => {
    const head = await getRun(runId);
    if (!head) return 0;
    const events = await eventsOf(runId);
    if (lastTold(events, session) >= told.seq) return 0;
    const drafts = followMachine(head.plan, foldRun(head.plan.steps, events), told);
    const when = Math.max(at, events.at(-1)?.at ?? 0);
    for (const draft of drafts)
      await append(runId, { ...draft, from: { session, seq: told.seq } }, Math.round(when), client);
    return drafts.length;
  });
}

/** The last event of a machine that a run was told of; 0 for none. */
export function lastTold(events: readonly RunEvent[], session: string): number {
  return events.reduce((last, { from }) => (from?.session === session ? Math.max(last, from.seq) : last), 0);
}

/** Appends within a transaction that is open; a press that does not fit the screen any more is not stored. */
async function append(
  runId: string,
  draft: EventDraft,
  at: number,
  client: string
): Promise<RunEvent | undefined> {
  const known = await eventsOf(runId);
  const head = await getRun(runId);
  if (head && !fitsScreen(foldRun(head.plan.steps, known), draft)) return undefined;
  const last = known.at(-1);
  const clock = known.reduce((most, event) => Math.max(most, event.clock ?? event.seq), 0) + 1;
  const event = newEvent(runId, (last?.seq ?? 0) + 1, { ...draft, clock }, at, client);
  await db.events.add(event);
  if (draft.type === 'finish' || draft.type === 'stop-early') {
    await db.runs.update(runId, { finishedAt: new Date(at).toISOString() });
  }
  return event;
}

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

/** How often the maker has said something of a run, so that what was learned is learned anew. */
export const MARKED = 'runs-marked';

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
  await db.transaction('rw', db.runs, db.events, db.runSummaries, db.meta, async () => {
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
  return db.transaction('rw', db.runs, db.events, db.photos, db.runSummaries, db.meta, async () => {
    const head = await db.runs.get(id);
    if (!head) return undefined;
    const deleted = { head, events: await eventsOf(id), photos: await photosOf(id) };
    await db.runs.delete(id);
    await db.events.where('runId').equals(id).delete();
    await db.photos.where('runId').equals(id).delete();
    await db.runSummaries.delete(id);
    await markAll();
    return deleted;
  });
}

/** Brings a deleted run back. */
export async function bringRunBack({ head, events, photos }: DeletedRun): Promise<void> {
  await db.transaction('rw', db.runs, db.events, db.photos, db.meta, async () => {
    await db.runs.put(head);
    await db.events.bulkPut(events);
    await db.photos.bulkPut(photos);
    await markAll();
  });
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

function newEvent(runId: string, seq: number, draft: EventDraft, at: number, client: string): RunEvent {
  return { runId, seq, at, client, copy: 1, stop: null, stitch: null, text: '', ...draft };
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
