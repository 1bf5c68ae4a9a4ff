import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Setup, Shop } from '$lib/core/documents/shop';
import { review, type Review } from '$lib/core/making/checks';
import { withSpools } from '$lib/core/making/plan';
import { bestOrder, compareCosts, orderCost, type OrderCost } from '$lib/core/solvers/stopOrder';
import { jumpWords } from '$lib/core/stitching/thread';
import { comesOutTheSame } from './outcome';
import { findPassing } from './passing';
import { reorderItem } from './reorder';
import { type ItemTask, itemTasks, type ItemTasks } from './tasks';

/** An order that saves changes. */
export interface BetterOrder {
  item: Item;
  plan: Plan;
  cost: OrderCost;
  /** Each jump in words, in order. */
  jumps: { stepId: string; words: string }[];
}

export interface OrderPlan {
  now: OrderCost;
  /** Null where the sheet’s own order is as good as any. */
  better: BetterOrder | null;
  /** Whether no order can cost less. */
  proven: boolean;
  /** Stops whose stitches are not known, so that they keep their order until the maker says they lie apart. */
  unsure: string[];
  tasks: ItemTask[];
}

/**
 * The order of an item’s stops that saves changes, as an item and its plan. It is simulated and checked before it is
 * offered: an order after which the item would not come out the same is not.
 *
 * @param anyHidden stops that nobody will see may be stitched in any thread
 */
export function planOrder(whole: Item, setup: Setup, shop: Shop, anyHidden: boolean): OrderPlan {
  const item = withSpools(whole, setup);
  const base = review(item, setup, shop);
  const within = itemTasks(base.item, base.plan, base.trace, anyHidden);
  const now = costOfSheet(within, base);
  if (isLeast(now, within))
    return { now, better: null, proven: true, unsure: unsureOf(within), tasks: within.tasks };
  const mayPass = findPassing(within.tasks, item, setup, shop, base);
  const across = itemTasks(base.item, base.plan, base.trace, anyHidden, mayPass);
  // Stops that may go past a halt one by one may not do so together; then they stay between their halts.
  for (const tried of [across, within]) {
    const found = tryOrder(tried, now, whole, setup, shop, base);
    if (found) return { ...found, unsure: unsureOf(tried), tasks: tried.tasks };
  }
  return { now, better: null, proven: false, unsure: unsureOf(within), tasks: within.tasks };
}

/** Each thread and bobbin put on once, and no jump: nothing can cost less. */
function isLeast({ threads, bobbins, jumps }: OrderCost, { tasks }: ItemTasks): boolean {
  const count = (of: (task: ItemTask) => string | null): number =>
    new Set(tasks.flatMap((task) => of(task) ?? [])).size;
  return jumps === 0 && threads <= count(({ thread }) => thread) && bobbins <= count(({ bobbin }) => bobbin);
}

function tryOrder(
  { tasks, bundles }: ItemTasks,
  now: OrderCost,
  whole: Item,
  setup: Setup,
  shop: Shop,
  base: Review
): Pick<OrderPlan, 'now' | 'better' | 'proven'> | null {
  const { order, cost, proven } = bestOrder(tasks);
  if (compareCosts(cost, now) >= 0) return { now, better: null, proven };
  const better = reorderItem(whole, unspooled(tasks, whole), bundles, order);
  const after = review(better, setup, shop);
  if (!comesOutTheSame(base, after)) return null;
  return { now, better: { item: better, plan: after.plan, cost, jumps: jumpsOf(after.plan) }, proven };
}

/** What the sheet’s own order costs with the threads it names, on hidden stops too. */
function costOfSheet({ tasks }: ItemTasks, { item }: Review): OrderCost {
  const threadOf = new Map(item.files.flatMap(({ stops }) => stops.map((stop) => [stop.id, stop.threadId])));
  const asCharted = tasks.map((task) =>
    task.stop ? { ...task, thread: threadOf.get(task.stop.id) ?? task.thread } : task
  );
  return orderCost(
    asCharted,
    asCharted.map(({ id }) => id)
  );
}

/** The tasks with the steps of the item as it is stored, whose threads are not yet the maker’s spools. */
function unspooled(tasks: readonly ItemTask[], whole: Item): ItemTask[] {
  const stored = new Map(whole.steps.map((step) => [step.id, step]));
  return tasks.map((task) => ({
    ...task,
    steps: task.steps.map((step) => stored.get(step.id) ?? step)
  }));
}

function jumpsOf({ steps }: Plan): BetterOrder['jumps'] {
  return steps.flatMap(({ id, stop }) => (stop?.jump ? [{ stepId: id, words: jumpWords(stop.jump) }] : []));
}

/** Stops that keep their order only because nobody knows where they stitch. */
function unsureOf({ tasks }: ItemTasks): string[] {
  return tasks.flatMap(({ stop, steps }) =>
    stop && !stop.stitched && isBounded(stop.role) ? steps.map(({ id }) => id) : []
  );
}

const isBounded = (role: string): boolean => ['decoration', 'lettering', 'lace', 'bars'].includes(role);
