/** What has to happen before a stop so that its thread is on. */
export interface ThreadChange {
  /** Needle that carries the thread, from 1. */
  needle: number;
  /** `thread`: hands thread the needle here. `switch`: the machine changes to a needle already threaded. */
  kind: 'stays' | 'switch' | 'thread';
}

/**
 * Says, for each stop in stitching order, whether its thread is already on. A multi-needle machine is
 * threaded before the start, as far as its needles go; after that the needle whose thread is needed last
 * gives way (Belady’s rule, which needs the fewest re-threads). One needle is the same with no choice.
 *
 * @param threadIds the thread of each stop, in stitching order
 * @param needles needles of the machine
 *
 * @example
 * threadChanges(['white', 'white', 'pink', 'white'], 1).map((change) => change.kind)
 * // ['thread', 'stays', 'thread', 'thread']
 */
export function threadChanges(threadIds: readonly string[], needles: number): ThreadChange[] {
  const onNeedle: string[] = needles > 1 ? [...new Set(threadIds)].slice(0, needles) : [];
  let active = needles > 1 ? 0 : -1;
  return threadIds.map((thread, at) => {
    let needle = onNeedle.indexOf(thread);
    if (needle >= 0) {
      const kind = needle === active ? 'stays' : 'switch';
      active = needle;
      return { needle: needle + 1, kind };
    }
    needle = onNeedle.length < needles ? onNeedle.length : neededLast(onNeedle, threadIds.slice(at));
    onNeedle[needle] = thread;
    active = needle;
    return { needle: needle + 1, kind: 'thread' };
  });
}

function neededLast(onNeedle: string[], coming: readonly string[]): number {
  let last = 0;
  let furthest = -1;
  onNeedle.forEach((thread, needle) => {
    const next = coming.indexOf(thread);
    const distance = next < 0 ? Infinity : next;
    if (distance > furthest) [furthest, last] = [distance, needle];
  });
  return last;
}
