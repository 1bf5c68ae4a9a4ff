import { found } from '$lib/core/craft/findings';
import { moveStepAfter } from '$lib/core/documents/item';
import { type Check, type Finding, titleOf } from './finding';

/** Steps that come before one they need. */
export const order: Check = (context) => {
  const { steps } = context.item;
  const placeOf = new Map(steps.map(({ id }, at) => [id, at]));
  return steps.flatMap((step, at): Finding[] => {
    const later = step.needs.filter((need) => (placeOf.get(need) ?? -1) > at);
    const last = later.sort((a, b) => (placeOf.get(a) ?? 0) - (placeOf.get(b) ?? 0)).at(-1);
    if (last === undefined) return [];
    return [
      {
        ...found('order/needs', step.id, { step: titleOf(context, step.id), needs: titleOf(context, last) }),
        fix: { label: 'Put it there', apply: (item) => moveStepAfter(item, step.id, last) }
      }
    ];
  });
};
