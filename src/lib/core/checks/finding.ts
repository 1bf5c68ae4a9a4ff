import type { Item, OperationOf } from '$lib/core/item';
import type { Plan } from '$lib/core/plan';
import type { StackStep } from '$lib/core/stack';

/** What a check reads: the item, its plan on this machine, and the hoop after every step. Never the construction’s name. */
export interface CheckContext {
  item: Item;
  plan: Plan;
  trace: StackStep[];
}

/** Something a check has found. */
export interface Finding {
  checkId: string;
  severity: 'stop' | 'warn' | 'note';
  /** Step of the item where it shows; null for the whole item. */
  stepId: string | null;
  /** One plain sentence: what is wrong. */
  text: string;
  /** What to do about it. */
  advice: string;
  /** An edit that mends it. */
  fix?: { label: string; apply: (item: Item) => Item };
}

export type Check = (context: CheckContext) => Finding[];

/** The title a step has on the sheet. */
export function titleOf({ plan }: CheckContext, stepId: string): string {
  return plan.steps.find(({ itemStepId }) => itemStepId === stepId)?.title ?? stepId;
}

/** The step that lays a piece, with its operation. */
export function layStepOf(item: Item, pieceId: string): { id: string; op: OperationOf<'lay'> } | undefined {
  for (const step of item.steps) {
    if (step.kind === 'hand' && step.op.do === 'lay' && step.op.pieceId === pieceId)
      return { id: step.id, op: step.op };
  }
  return undefined;
}
