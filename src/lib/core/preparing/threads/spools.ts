import type { Plan } from '$lib/core/documents/plan';

/** What a new spool holds where nobody has said, m. */
const SPOOL_METRES = 1000;
/** A spool holds no less than this, m, however little is left on the maker’s own. */
const LEAST_SPOOL_METRES = 100;

/**
 * What one spool of a colour holds, m: as those in the stash do, or what a new one usually holds.
 *
 * @example
 * spoolHolds({ metres: 900, spools: 2 }) // 450
 */
export function spoolHolds({ metres, spools }: { metres: number; spools: number }): number {
  return spools > 0 && metres > 0 ? Math.max(LEAST_SPOOL_METRES, metres / spools) : SPOOL_METRES;
}

/** Where a spool is empty: on which head, in which copy of that head, in which stop. */
export interface SpoolEnd {
  head: number;
  /** The copy of that head, from 1. */
  copy: number;
  stop: number;
}

/**
 * Spools of one colour that a station wants: each head has its own, whatever the metres, and a new one when that is empty.
 *
 * @param metres that one head takes, m
 * @param holds of one spool, m
 *
 * @example
 * spoolsFor(324, 3, 1000) // 3: one on each head, though 972 m would fit on one
 */
export function spoolsFor(metres: number, heads: number, holds: number): number {
  return heads * Math.max(1, Math.ceil(metres / holds - 1e-9));
}

/**
 * Where the spools of a colour run out, on each head alike, when every head starts with a full one.
 *
 * @param perHead copies that one head stitches, one after another
 * @param most ends that are told of at most
 */
export function spoolEnds(
  { steps }: Pick<Plan, 'steps'>,
  threadId: string,
  { heads, perHead, holds }: { heads: number; perHead: number; holds: number },
  most = 12
): SpoolEnd[] {
  const own = steps.flatMap(({ stop, thread }) =>
    stop && thread?.id === threadId ? [{ stop: stop.machineNumber ?? 0, metres: stop.upperMetres }] : []
  );
  const ends: SpoolEnd[] = [];
  let left = holds;
  for (let copy = 1; copy <= perHead && ends.length < most; copy++)
    for (const { stop, metres } of own) {
      left -= metres;
      if (left >= 0) continue;
      left += holds;
      for (let head = 1; head <= heads; head++) ends.push({ head, copy, stop });
    }
  return ends.slice(0, most);
}
