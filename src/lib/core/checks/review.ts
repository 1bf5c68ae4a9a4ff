import type { Item } from '$lib/core/item';
import { plan, type Plan } from '$lib/core/plan';
import type { Setup, Shop } from '$lib/core/shop';
import { cutSizes, simulate, type StackStep } from '$lib/core/stack';
import { runChecks, type CheckResult } from './runChecks';

/** An item planned, simulated and checked. */
export interface Review {
  plan: Plan;
  trace: StackStep[];
  checked: CheckResult;
}

/**
 * Plans an item, simulates its hoop and runs every check.
 *
 * @example
 * review(badgerTab, undefined, shop).checked.open // []
 */
export function review(item: Item, setup: Setup | undefined, shop: Shop): Review {
  const planned = plan(item, setup, shop);
  const trace = simulate(item, cutSizes(planned.cuts));
  return { plan: planned, trace, checked: runChecks({ item, plan: planned, trace }) };
}
