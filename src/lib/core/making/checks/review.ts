import type { Item } from '$lib/core/documents/item';
import type { Setup, Shop } from '$lib/core/documents/shop';
import { planAndTrace, type PlanAndTrace } from '$lib/core/making/plan';
import { type CheckResult, runChecks } from './runChecks';

/** An item planned, simulated and checked. */
export interface Review extends PlanAndTrace {
  checked: CheckResult;
}

/**
 * Plans an item, simulates its hoop and runs every check.
 *
 * @example
 * review(badgerTab, undefined, shop).checked.open // []
 */
export function review(item: Item, setup: Setup | undefined, shop: Shop): Review {
  const made = planAndTrace(item, setup, shop);
  return { ...made, checked: runChecks(made) };
}
