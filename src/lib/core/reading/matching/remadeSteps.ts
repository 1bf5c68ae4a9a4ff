import { isSame, merge, rowOrder } from '$lib/core/documents/changes';
import { findStop, type Item, type Step } from '$lib/core/documents/item';

/** Steps made anew, and those that lost their place. */
export interface RemadeSteps {
  steps: Step[];
  /** Steps of before that are gone although the maker had changed them. */
  gone: Step[];
  /** The maker had moved steps, and the blocks did so too. */
  reordered: boolean;
}

/**
 * The steps of an item made anew: what the maker added, changed, moved or took out stays so where its place still exists.
 *
 * @param was the steps before, and `is` those now, both in the item’s names
 * @param there whether a stop exists in the item made anew
 */
export function remadeSteps(
  item: Item,
  was: readonly Step[],
  is: readonly Step[],
  there: (stopId: string) => boolean
): RemadeSteps {
  const [before, after, mine] = [was, is, item.steps].map(
    (steps) => new Map(steps.map((step) => [step.id, step]))
  );
  if (!before || !after || !mine) return { steps: [], gone: [], reordered: false };
  const gone: Step[] = [];
  const found = new Map<string, Step>();
  for (const id of new Set([...mine.keys(), ...after.keys()])) {
    const [old, next, own] = [before.get(id), after.get(id), mine.get(id)];
    if (own && !next) {
      const further = own.kind === 'stop' && there(own.stopId);
      if (!old || further) found.set(id, own);
      else if (!isSame(asDone(old), asDone(own))) gone.push(own);
      continue;
    }
    // What the maker took out stays out.
    if (!next || (old && !own)) continue;
    found.set(id, own && old ? withBoth(old, next, own) : next);
  }
  let reordered = false;
  const order = rowOrder(was, is, item.steps, () => (reordered = true));
  const steps = order
    .flatMap((id) => found.get(id) ?? [])
    .filter((step) => step.kind === 'hand' || there(step.stopId));
  const ids = new Set(steps.map(({ id }) => id));
  return {
    steps: steps.map((step) => ({ ...step, needs: step.needs.filter((need) => ids.has(need)) })),
    gone,
    reordered
  };
}

/** A step as the maker has it; what it needs before it is the construction’s, and was written otherwise once. */
function asDone(step: Step): Step {
  return { ...step, needs: [] };
}

/** A step with what both changed: where both changed the same, the maker’s stays. */
function withBoth(old: Step, next: Step, own: Step): Step {
  const merged = merge(old, next, own);
  if (merged.ok) return merged.value as Step;
  if (own.kind === 'hand' && next.kind === 'hand' && old.kind === 'hand') {
    const op = own.op.do === next.op.do ? own.op : next.op;
    return {
      ...next,
      note: isSame(old.note, own.note) ? next.note : own.note,
      op: isSame(old.op, own.op) ? next.op : op
    };
  }
  return { ...next, note: own.note };
}

/** Whether a step is one of a stop that still has a place. */
export function stopIn(item: Item): (stopId: string) => boolean {
  return (stopId) => findStop(item, stopId) !== undefined;
}
