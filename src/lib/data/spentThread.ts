import type { RunEvent, RunHead, ThreadSpent } from '$lib/core/documents/run';
import { lessThread, threadBack, threadSpent } from '$lib/core/preparing/stash';
import type { ThreadEntry } from '$lib/core/documents/stash';
import { foldRun } from '$lib/core/running/runs';
import { db } from './db';
import { readOne } from './rows';
import { listStash } from './stash';

/** Takes off the stash what a run that is over has stitched, and says what it took; within a transaction of the stash. */
export async function spendThread(
  { plan, order }: RunHead,
  events: readonly RunEvent[]
): Promise<ThreadSpent[]> {
  const spent = threadSpent(plan, foldRun(plan.steps, events).done, await listStash(), order?.heads ?? 1);
  await takeThread(spent);
  return spent;
}

/** Takes thread off the stash: a line that is gone meanwhile is let be. */
export function takeThread(spent: readonly ThreadSpent[]): Promise<void> {
  return changeEach(spent, (entry, { metres }) => lessThread(entry, metres));
}

/** Puts it back, as where the run never was. */
export function putThreadBack(spent: readonly ThreadSpent[]): Promise<void> {
  return changeEach(spent, threadBack);
}

async function changeEach(
  spent: readonly ThreadSpent[],
  change: (entry: ThreadEntry, spent: ThreadSpent) => ThreadEntry
): Promise<void> {
  for (const each of spent) {
    const entry = readOne('line of the stash', await db.stash.get(each.entryId));
    if (entry?.what === 'thread') await db.stash.put(change(entry, each));
  }
}
