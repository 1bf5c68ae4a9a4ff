import type { Item } from '$lib/core/documents/item';
import type { StackStep } from '$lib/core/craft/stack';
import { whyOf } from './why';

/**
 * Why each step of an item is so, by step, where there is a reason to tell.
 *
 * @example
 * reasonsOf(tab, trace)['lay-back'] // 'Face down: …'
 */
export function reasonsOf(item: Item, trace: StackStep[]): Record<string, string> {
  return Object.fromEntries(
    item.steps.flatMap(({ id }) => {
      const reason = whyOf(item, trace, id);
      return reason === null ? [] : [[id, reason] as const];
    })
  );
}
