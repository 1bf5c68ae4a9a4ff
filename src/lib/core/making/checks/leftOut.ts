import { found } from '$lib/core/craft/findings';
import type { Check } from './finding';

/** Work that was asked for and cannot be done where it was put, so that nothing of it is on the sheet. */
export const leftOut: Check = ({ item }) =>
  item.steps.flatMap((step) => {
    if (step.kind !== 'hand' || step.op.do !== 'left-out') return [];
    const { what, why, repair } = step.op;
    return found('block/left-out', step.id, { what, why, repair });
  });
