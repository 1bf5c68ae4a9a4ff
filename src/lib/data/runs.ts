import type { Run, RunEvent, RunHead } from '$lib/core/documents/run';
import { foldRun, followMachine, type RunSummary } from '$lib/core/running/runs';
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
    await db.events.add(newEvent(head.id, 1, { type: 'prepare', stepId: null }, at, client));
  });
}

export type EventDraft = Pick<RunEvent, 'type' | 'stepId'> &
  Partial<Pick<RunEvent, 'stop' | 'stitch' | 'text' | 'fault' | 'to' | 'seconds' | 'from'>>;

/**
 * Appends an event to a run. The next number is taken inside the transaction, so two tabs never write the
 * same one; the screen moves only when this has resolved.
 *
 * @param at milliseconds since 1970
 * @throws Error when the browser cannot store it, as when its storage is full
 */
export async function appendEvent(
  runId: string,
  draft: EventDraft,
  at: number,
  client: string
): Promise<RunEvent> {
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

/** Appends within a transaction that is open. */
async function append(runId: string, draft: EventDraft, at: number, client: string): Promise<RunEvent> {
  const last = await db.events.where('[runId+seq]').between([runId, 0], [runId, Infinity]).last();
  const event = newEvent(runId, (last?.seq ?? 0) + 1, draft, at, client);
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
    const marks = (await db.meta.get(MARKED))?.value;
    await db.meta.put({ key: MARKED, value: (typeof marks === 'number' ? marks : 0) + 1 });
  });
}

/** Runs of which the maker said what went wrong, the latest first; only their summaries are read. */
export async function troubledRuns(): Promise<RunSummary[]> {
  return db.runSummaries
    .orderBy('startedAt')
    .reverse()
    .filter(({ trouble = [] }) => trouble.length > 0)
    .limit(LOOKED_AT)
    .toArray();
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
