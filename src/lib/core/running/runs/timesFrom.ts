import type { Plan } from '$lib/core/documents/plan';

/**
 * Seconds still to do from a step of a plan on, by kind.
 *
 * @param at index of the first step that is not done
 *
 * @example
 * timesFrom(tabPlan, 0) // { hands: 1095.2, needle: 492, waiting: 0 }
 */
export function timesFrom(plan: Plan, at: number): { hands: number; needle: number; waiting: number } {
  const left = { hands: 0, needle: 0, waiting: 0 };
  for (const { hands, running, waiting } of plan.steps.slice(at)) {
    left.hands += hands.value;
    left.needle += running.value;
    left.waiting += waiting.value;
  }
  return left;
}
