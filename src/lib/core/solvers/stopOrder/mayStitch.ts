import type { OrderTask } from './cost';

/** A stop that may be stitched with the thread that is on. */
export interface MayStitch {
  id: string;
  /** Stops that have to be stitched first, with the same thread; none for one that may be stitched at once. */
  first: string[];
}

/**
 * This thread is on: what may be stitched now? Stops in its colour, or that take any, which wait for nothing but each
 * other.
 *
 * @param done ids of the tasks that are done
 * @param thread the thread that is on
 *
 * @example
 * mayStitchNow(tasks, new Set(['1', '2']), 'white') // [{ id: '4', first: [] }, { id: '9', first: ['4'] }]
 */
export function mayStitchNow(
  tasks: readonly OrderTask[],
  done: ReadonlySet<string>,
  thread: string
): MayStitch[] {
  const waitsFor = new Map<string, Set<string>>();
  for (let more = true; more;) {
    more = false;
    for (const task of tasks) {
      if (done.has(task.id) || waitsFor.has(task.id) || !task.place) continue;
      if (task.thread !== null && task.thread !== thread) continue;
      if (!task.after.every((id) => done.has(id) || waitsFor.has(id))) continue;
      const first = new Set<string>();
      for (const id of task.after)
        if (!done.has(id)) for (const each of [id, ...(waitsFor.get(id) ?? [])]) first.add(each);
      waitsFor.set(task.id, first);
      more = true;
    }
  }
  return tasks.flatMap(({ id }) => {
    const first = waitsFor.get(id);
    return first ? [{ id, first: tasks.flatMap((task) => (first.has(task.id) ? [task.id] : [])) }] : [];
  });
}
