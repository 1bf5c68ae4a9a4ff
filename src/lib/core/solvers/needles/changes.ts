/** What has to happen before a stop so that its thread is on. */
export interface ThreadChange {
  /** Needle that carries the thread, from 1. */
  needle: number;
  /** `thread`: hands thread the needle here. `switch`: the machine changes to a needle already threaded. */
  kind: 'stays' | 'switch' | 'thread';
}

/** Threads on the needles, from the first; null for a needle that is empty. */
export type Threaded = readonly (string | null)[];

/** Needles as they are threaded before the start, and what each stop needs from there. */
export interface NeedlePlan {
  /** The thread of each needle at the start; null for one that stays as it is or empty. */
  atStart: (string | null)[];
  /** Needles that must be threaded before the start. */
  threadFirst: number[];
  changes: ThreadChange[];
}

/**
 * Says which needle carries the thread of each stop. What the needles carry already is used; a needle that is not
 * stitched with before is threaded ahead of the start; after that the needle whose thread is needed last gives way
 * (Belady’s rule, which needs the fewest re-threads). One needle is the same with no choice.
 *
 * @param threadIds the thread of each stop, in stitching order
 * @param needles needles of the machine
 * @param threaded what is on them
 *
 * @example
 * planNeedles(['white', 'pink'], 4, ['rust', 'white']).atStart // [null, 'white', 'pink', null]
 */
export function planNeedles(
  threadIds: readonly string[],
  needles: number,
  threaded: Threaded = []
): NeedlePlan {
  const on: (string | null)[] = Array.from({ length: needles }, (_, at) => threaded[at] ?? null);
  const atStart: (string | null)[] = on.map((thread) =>
    thread !== null && threadIds.includes(thread) ? thread : null
  );
  const threadFirst: number[] = [];
  const used = new Set<number>();
  let active = -1;
  const changes = threadIds.map((thread, at): ThreadChange => {
    let needle = on.indexOf(thread);
    let kind: ThreadChange['kind'] = needle === active ? 'stays' : 'switch';
    if (needle < 0) {
      needle = givesWay(on, threadIds.slice(at));
      on[needle] = thread;
      kind = 'thread';
      // A machine of several needles has those that have not stitched yet threaded before the start.
      if (needles > 1 && !used.has(needle)) {
        atStart[needle] = thread;
        threadFirst.push(needle + 1);
        kind = 'switch';
      }
    }
    if (active < 0 && kind === 'switch') kind = 'stays';
    used.add(needle);
    active = needle;
    return { needle: needle + 1, kind };
  });
  return { atStart, threadFirst: threadFirst.sort((a, b) => a - b), changes };
}

/**
 * What has to happen before each stop on a machine whose needles are empty.
 *
 * @example
 * threadChanges(['white', 'white', 'pink', 'white'], 1).map((change) => change.kind)
 * // ['thread', 'stays', 'thread', 'thread']
 */
export function threadChanges(
  threadIds: readonly string[],
  needles: number,
  threaded: Threaded = []
): ThreadChange[] {
  return planNeedles(threadIds, needles, threaded).changes;
}

/** The needle to thread: one whose thread is not needed any more, an empty one first, else the one needed last. */
function givesWay(on: readonly (string | null)[], coming: readonly string[]): number {
  let last = 0;
  let furthest = -1;
  on.forEach((thread, needle) => {
    const next = thread === null ? -1 : coming.indexOf(thread);
    const distance = thread === null ? Number.MAX_SAFE_INTEGER : next < 0 ? coming.length : next;
    if (distance > furthest) [furthest, last] = [distance, needle];
  });
  return last;
}
