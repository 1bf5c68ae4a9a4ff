import type { Run, RunHead } from '$lib/core/documents/run';
import { ribbonStep, type RibbonStep } from '$lib/core/making/summary';
import { compareRun, type ComparedStep, type Comparison } from './compare';
import { foldRun } from './fold';

/** What the log’s list shows of a run that is over. */
export interface RunSummary {
  id: string;
  itemId?: string;
  itemName: string;
  machine: string;
  startedAt: string;
  finishedAt: string;
  leftOut: boolean;
  faults: number;
  /** What went wrong, as the maker settled it. */
  trouble?: NonNullable<RunHead['trouble']>;
  predicted: Comparison['predicted'];
  actual: Comparison['actual'];
  ribbon: RibbonStep[];
}

/** Keeps of a finished run what a list shows; null while it is still on. */
export function runSummary(run: Run): RunSummary | null {
  const { id, itemId, itemName, startedAt, finishedAt, leftOut, plan, events } = run;
  if (finishedAt === null) return null;
  const { predicted, actual, steps } = compareRun(plan, events);
  return {
    ...{ id, itemId, itemName, startedAt, finishedAt, leftOut: leftOut === true, machine: plan.machine.name },
    faults: foldRun(plan.steps, events).faults.length,
    predicted,
    actual,
    ribbon: actualRibbonSteps(steps),
    ...(run.trouble && { trouble: run.trouble })
  };
}

/** The steps of a run as they really went; those it never came to take no room. */
export function actualRibbonSteps(steps: readonly ComparedStep[]): RibbonStep[] {
  return steps.flatMap(({ step, actual }) => (actual === null ? [] : ribbonStep(step, actual)));
}
