import { does, isKindOf } from '$lib/core/craft/operations';
import type { OperationKind } from '$lib/core/documents/item';
import type { Plan, PlanStep } from '$lib/core/documents/plan';

/** Where a step is done, and whether the machine is taken meanwhile. */
export const HOOPING_PARTS = ['load', 'machine', 'off', 'finish'] as const;
export type HoopingPart = (typeof HOOPING_PARTS)[number];

/** How many copies a hooping has, and on how many heads that stitch together. */
export interface Copies {
  total: number;
  heads: number;
}

/** A step of a plan with the part of the hooping it belongs to. */
export interface PhasedStep {
  step: PlanStep;
  phase: HoopingPart;
}

/** What is stitched in one clamping of the ring, and what follows it at the table. */
export interface Stage {
  /** From 0, in the order of the item. */
  index: number;
  hoopingIds: string[];
  steps: PhasedStep[];
}

/** Whether a step is done once for all copies in a hoop. */
export function isOnce({ op }: Pick<PlanStep, 'op'>): boolean {
  return isKindOf(op, ({ done }) => done !== 'each-copy');
}

/**
 * A plan’s steps by clamping: what is loaded at the table, what takes the machine, what frees the hoop, what is
 * finished at the table. The job’s set-up is left out, since one set-up serves many hoopings, and so are thread changes
 * the machine brings: they depend on how many copies are stitched and in which order.
 *
 * @param hoopingOf hooping of each of the item’s steps
 *
 * @example
 * stagesOf(borderPatchPlan, hoopingOf).map(({ steps }) => steps.length) // [9, 12]
 */
export function stagesOf({ steps }: Pick<Plan, 'steps'>, hoopingOf: ReadonlyMap<string, string>): Stage[] {
  const own = steps.filter(({ op, itemStepId }) => itemStepId !== null && op?.do !== 'set-up');
  const starts = own.flatMap(({ op }, at) => (does(op, 'clamp') !== null ? [at] : []));
  // What is prepared before the first hooping is loaded with it; between two, it belongs to the one before.
  const bounds = starts.length === 0 ? [0] : [0, ...starts.slice(1)];
  return bounds.map((from, index) => {
    const within = own.slice(from, bounds[index + 1] ?? own.length);
    const hoopingIds = [
      ...new Set(within.flatMap(({ itemStepId }) => hoopingOf.get(itemStepId ?? '') ?? []))
    ];
    return { index, hoopingIds, steps: phased(within) };
  });
}

function phased(steps: readonly PlanStep[]): PhasedStep[] {
  const isOp = (step: PlanStep, kind: OperationKind): boolean => step.op?.do === kind;
  const stitches = (step: PlanStep): boolean => step.kind === 'stop' || does(step.op, 'stitch') !== null;
  const firstStop = steps.findIndex(stitches);
  const on = steps.findIndex((step) => isOp(step, 'hoop-on'));
  const lastStop = steps.findLastIndex(stitches);
  const begin = on >= 0 && (firstStop < 0 || on < firstStop) ? on : Math.max(0, firstStop);
  const off = steps.findIndex((step, at) => at > lastStop && isOp(step, 'hoop-off'));
  const end = off >= 0 ? off : lastStop;
  const free = steps.findIndex((step, at) => at > end && isOp(step, 'unhoop'));
  return steps.map((step, at) => ({
    step,
    phase: at < begin ? 'load' : at <= end ? 'machine' : at <= free ? 'off' : 'finish'
  }));
}
