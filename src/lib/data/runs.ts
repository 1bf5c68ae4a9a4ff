import type { Run, RunEvent, RunHead } from '$lib/core/run';
import { db } from './db';

/** Runs, the latest first. */
export function listRuns(): Promise<RunHead[]> {
  return db.runs.orderBy('startedAt').reverse().toArray();
}

export function getRun(id: string): Promise<RunHead | undefined> {
  return db.runs.get(id);
}

/** Events of a run in the order they happened. */
export function eventsOf(runId: string): Promise<RunEvent[]> {
  return db.events.where('[runId+seq]').between([runId, 0], [runId, Infinity]).toArray();
}

/** Starts a run: its head and its first event are stored together or not at all. */
export async function startRun(head: RunHead, at: number, client: string): Promise<void> {
  await db.transaction('rw', db.runs, db.events, async () => {
    await db.runs.add(head);
    await db.events.add(newEvent(head.id, 1, { type: 'start', stepId: null }, at, client));
  });
}

export type EventDraft = Pick<RunEvent, 'type' | 'stepId'> &
  Partial<Pick<RunEvent, 'stop' | 'stitch' | 'text'>>;

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
  return db.transaction('rw', db.runs, db.events, async () => {
    const last = await db.events.where('[runId+seq]').between([runId, 0], [runId, Infinity]).last();
    const event = newEvent(runId, (last?.seq ?? 0) + 1, draft, at, client);
    await db.events.add(event);
    if (draft.type === 'finish' || draft.type === 'stop-early') {
      await db.runs.update(runId, { finishedAt: new Date(at).toISOString() });
    }
    return event;
  });
}

/** A run with its events, as one document. */
export async function runDocument(id: string): Promise<Run | undefined> {
  const head = await db.runs.get(id);
  return head && { ...head, events: await eventsOf(id) };
}

function newEvent(runId: string, seq: number, draft: EventDraft, at: number, client: string): RunEvent {
  return { runId, seq, at, client, copy: 1, stop: null, stitch: null, text: '', ...draft };
}
