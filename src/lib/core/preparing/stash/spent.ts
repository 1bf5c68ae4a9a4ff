import { does } from '$lib/core/craft/operations';
import type { Plan } from '$lib/core/documents/plan';
import type { ThreadSpent } from '$lib/core/documents/run';
import type { StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import { asStop } from '$lib/core/making/plan';
import { upperThread } from '$lib/core/stitching/thread';
import { sameName } from './serves';

/**
 * The thread a run took off the spools of the stash: what its stitched stops need, and of bobbins wound with a thread of the
 * item what those need. Spools of the same name are used up one after another, as they stand; what is not there is not taken.
 *
 * @param done which steps were stitched, by index
 * @param heads that stitched the same at the same time, each from its own spool
 *
 * @example
 * threadSpent(tabPlan, allDone, [brass], 1) // [{ entryId: 'brass', name: 'Brass', metres: 14.5, spools: 0 }]
 */
export function threadSpent(
  { steps, threads }: Pick<Plan, 'steps' | 'threads'>,
  done: readonly boolean[],
  stash: readonly StashEntry[],
  heads: number
): ThreadSpent[] {
  const used = new Map<string, number>();
  const use = (id: string | undefined, metres: number): void => {
    const name = threads.find(({ thread }) => thread.id === id)?.thread.name;
    if (name !== undefined && metres > 0) used.set(name, (used.get(name) ?? 0) + metres * heads);
  };
  let bobbin: string | undefined;
  steps.forEach(({ op, stop, thread }, at) => {
    const wound = does(op, 'wind');
    if (wound) bobbin = wound.threadId ?? undefined;
    if (done[at] !== true) return;
    const run = does(op, 'stitch')?.run;
    if (run) use(run.threadId, upperThread(asStop(run)).metres);
    if (!stop || stop.machineNumber === null) return;
    use(thread?.id, stop.upperMetres);
    use(bobbin, stop.bobbinMetres);
  });
  const left = new Map(
    stash.flatMap((entry) => (entry.what === 'thread' ? [[entry.id, entry.metres] as const] : []))
  );
  return [...used].flatMap(([name, metres]) => {
    let wanted = metres;
    return stash.flatMap((entry): ThreadSpent[] => {
      if (entry.what !== 'thread' || !sameName(entry.name, name)) return [];
      const taken = Math.min(wanted, left.get(entry.id) ?? 0);
      wanted -= taken;
      left.set(entry.id, (left.get(entry.id) ?? 0) - taken);
      const spools = entry.spools - lessThread(entry, taken).spools;
      return taken > 0 ? [{ entryId: entry.id, name: entry.name, metres: taken, spools }] : [];
    });
  });
}

/**
 * A thread with so many metres less, never below nothing. A spool that is used up is gone.
 *
 * @param metres m
 *
 * @example
 * lessThread({ ...brass, metres: 1500, spools: 2 }, 800) // 700 m on 1 spool
 */
export function lessThread(entry: ThreadEntry, metres: number): ThreadEntry {
  const left = Math.max(0, entry.metres - metres);
  const each = entry.spools > 0 ? entry.metres / entry.spools : 0;
  return { ...entry, metres: left, spools: each > 0 ? Math.ceil(left / each - 1e-9) : entry.spools };
}

/** A thread with what a run took put back, its emptied spools too. */
export function threadBack(entry: ThreadEntry, { metres, spools }: ThreadSpent): ThreadEntry {
  return { ...entry, metres: entry.metres + metres, spools: entry.spools + spools };
}
