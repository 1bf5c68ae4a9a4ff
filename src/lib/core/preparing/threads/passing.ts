import { isKindOf } from '$lib/core/craft/operations';
import type { Item } from '$lib/core/documents/item';
import type { Setup, Shop } from '$lib/core/documents/shop';
import { review, type Review } from '$lib/core/making/checks';
import { comesOutTheSame } from './outcome';
import type { ItemTask, MayPass } from './tasks';

/**
 * Which stops may go past which hand work: the item is simulated and checked with the stop on the other side, and must
 * come out the same. A stop goes on from one halt to the next until one holds it.
 *
 * @param tasks in the order of the sheet
 * @param base the item as it stands, planned and checked
 */
export function findPassing(
  tasks: readonly ItemTask[],
  item: Item,
  setup: Setup,
  shop: Shop,
  base: Review
): MayPass {
  const pairs = new Set<string>();
  tasks.forEach((task, at) => {
    if (!task.stop) return;
    for (const by of [1, -1] as const) {
      for (let to = at + by; ; to += by) {
        const hands = tasks[to];
        if (!hands) break;
        if (hands.stop) continue;
        const [earlier, later] = by > 0 ? [task, hands] : [hands, task];
        if (isWall(hands) || needs(later, earlier)) break;
        const moved = movedPast(item, task, hands, by);
        if (!comesOutTheSame(base, review(moved, setup, shop))) break;
        pairs.add(`${task.id} ${hands.id}`);
      }
    }
  });
  return (stopTask, handsTask) => pairs.has(`${stopTask} ${handsTask}`);
}

function isWall({ steps }: ItemTask): boolean {
  return steps.some((step) => step.kind === 'hand' && isKindOf(step.op, ({ wall }) => wall));
}

/** Whether a task declares to need another. */
function needs(later: ItemTask, earlier: ItemTask): boolean {
  return later.steps.some((step) => step.needs.some((need) => earlier.steps.some(({ id }) => id === need)));
}

function movedPast(item: Item, task: ItemTask, hands: ItemTask, by: 1 | -1): Item {
  const moving = new Set(task.steps.map(({ id }) => id));
  const rest = item.steps.filter(({ id }) => !moving.has(id));
  const edge = by > 0 ? hands.steps.at(-1) : hands.steps[0];
  const at = rest.findIndex(({ id }) => id === edge?.id) + (by > 0 ? 1 : 0);
  return { ...item, steps: [...rest.slice(0, at), ...task.steps, ...rest.slice(at)] };
}
