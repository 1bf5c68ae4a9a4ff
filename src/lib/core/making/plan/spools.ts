import type { Item } from '$lib/core/documents/item';
import type { Machine, Setup } from '$lib/core/documents/shop';
import { comparedName } from '$lib/core/documents/item';

/**
 * The item as it is stitched with the maker’s own spools: a thread takes the name and colour of the spool chosen for it,
 * and two threads on one spool are one thread.
 *
 * @example
 * withSpools(tab, { ...setup, threads: { grey: spool, white: spool } }).files[0].stops[0].threadId // 'white', as the other
 */
export function withSpools(item: Item, { threads }: Pick<Setup, 'threads'>): Item {
  const chosen = item.threads.filter(({ id }) => threads[id]);
  if (chosen.length === 0) return item;
  const first = new Map<string, string>();
  const same = new Map<string, string>();
  for (const { id } of chosen) {
    const spool = threads[id]?.entryId ?? '';
    if (!first.has(spool)) first.set(spool, id);
    same.set(id, first.get(spool) ?? id);
  }
  const to = (id: string): string => same.get(id) ?? id;
  return {
    ...item,
    threads: item.threads
      .filter(({ id }) => to(id) === id)
      .map((thread) => {
        const spool = threads[thread.id];
        return spool ? { ...thread, name: spool.name, colour: spool.colour } : thread;
      }),
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => ({ ...stop, threadId: to(stop.threadId) }))
    })),
    steps: item.steps.map((step) =>
      step.kind === 'hand' && 'threadId' in step.op && step.op.threadId !== undefined
        ? { ...step, op: { ...step.op, threadId: to(step.op.threadId) } }
        : step
    )
  };
}

/**
 * What is on a machine’s needles, as threads of an item: by name, whatever its capitals; null for any other thread.
 *
 * @example
 * threadsOn(machine, item) // ['white', null, 'pink']
 */
export function threadsOn({ threaded = [] }: Machine, { threads }: Item): (string | null)[] {
  return threaded.map(
    (on) => (on && threads.find(({ name }) => comparedName(name) === comparedName(on.name))?.id) ?? null
  );
}
