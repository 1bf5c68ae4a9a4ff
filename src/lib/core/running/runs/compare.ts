import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { RunEvent } from '$lib/core/documents/run';
import { canBe } from './canBe';
import { foldRun } from './fold';

/** A step as predicted and as it was. */
export interface ComparedStep {
  step: PlanStep;
  predicted: number;
  /** Null where the run never came to the step. */
  actual: number | null;
  /** The time teaches nothing: it cannot be, or nobody knows it. */
  doubted: boolean;
  /** Faults and marks logged in the step. */
  incidents: RunEvent[];
}

export interface Comparison {
  steps: ComparedStep[];
  /** Seconds by kind; a step’s actual time counts for the kind it was predicted in. */
  predicted: Kinds;
  actual: Kinds;
}

interface Kinds {
  hands: number;
  needle: number;
  waiting: number;
}

/**
 * Sets the times of a run against its plan, step by step and by kind of time. Only steps that are done
 * count on either side, so an early end is compared fairly.
 */
export function compareRun(plan: Plan, events: readonly RunEvent[]): Comparison {
  const state = foldRun(plan.steps, events);
  const predicted: Kinds = { hands: 0, needle: 0, waiting: 0 };
  const actual: Kinds = { hands: 0, needle: 0, waiting: 0 };
  const steps = plan.steps.map((step, at): ComparedStep => {
    const expected = step.hands.value + step.running.value + step.waiting.value;
    const seconds = state.seconds[at] ?? 0;
    const done = state.done[at] === true;
    const seen = done || seconds > 0;
    if (done) {
      const kind = kindOf(step);
      predicted[kind] += expected;
      actual[kind] += seconds;
    }
    return {
      step,
      predicted: expected,
      actual: seen ? seconds : null,
      doubted: done && (state.trusted[at] !== true || !canBe(step, seconds)),
      incidents: state.incidents.filter(({ stepId }) => stepId === step.id)
    };
  });
  return { steps, predicted, actual };
}

/** The kind of time a step is made of: a stop is needle, a wait is waiting, the rest is hands. */
export function kindOf(step: PlanStep): keyof Kinds {
  if (step.kind === 'stop') return 'needle';
  return step.waiting.value > step.hands.value ? 'waiting' : 'hands';
}
