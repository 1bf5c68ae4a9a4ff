import type { RunEvent, RunHead, ThreadSpent } from '$lib/core/documents/run';
import { lessThread, threadSpent } from '$lib/core/preparing/stash';
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
  await takeThread(spent, 1);
  return spent;
}

/** Takes thread off the stash, or puts it back: a line that is gone meanwhile is let be. */
export async function takeThread(spent: readonly ThreadSpent[], times: 1 | -1): Promise<void> {
  for (const { entryId, metres } of spent) {
    const entry = readOne('line of the stash', await db.stash.get(entryId));
    if (entry?.what === 'thread') await db.stash.put(lessThread(entry, times * metres));
  }
}
