import type { RunEvent, RunHead } from '$lib/core/documents/run';
import { fitsScreen, foldRun, followMachine } from '$lib/core/running/runs';
import type { MachineEvent } from '$lib/core/running/standIn';
import { db } from './db';
import { eventsOf, getRun } from './runs';
import { spendThread } from './spentThread';

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
  const tables = endsRun(draft) ? [db.runs, db.events, db.stash] : [db.runs, db.events];
  return db.transaction('rw', tables, async () => append(runId, draft, at, client));
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

const endsRun = ({ type }: EventDraft): boolean => type === 'finish' || type === 'stop-early';

/** Appends within a transaction that is open; a press that does not fit the screen any more is not stored. */
export async function append(
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
  if (endsRun(draft)) {
    const spent = head && head.finishedAt === null ? await spendThread(head, [...known, event]) : [];
    await db.runs.update(runId, {
      finishedAt: new Date(at).toISOString(),
      ...(spent.length > 0 && { spent })
    });
  }
  return event;
}

function newEvent(runId: string, seq: number, draft: EventDraft, at: number, client: string): RunEvent {
  return { runId, seq, at, client, copy: 1, stop: null, stitch: null, text: '', ...draft };
}
