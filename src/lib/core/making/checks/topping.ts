import { findPiece } from '$lib/core/documents/item';
import { type Check, type Finding, handed } from './finding';

/** Topping that nothing takes off in the end. */
export const topping: Check = (context) => {
  const last = context.trace.at(-1)?.state;
  if (!last || last.hoop.where !== 'unhooped') return [];
  return handed(context, 'topping-on').flatMap(({ op, step }): Finding[] => {
    if (!last.layers.some(({ pieceId }) => pieceId === op.pieceId)) return [];
    return [
      {
        checkId: 'topping',
        severity: 'warn',
        stepId: step.id,
        text: `${findPiece(context.item, op.pieceId)?.name ?? 'The topping'} is never taken off.`,
        advice: 'Tear it off, or rinse it out, at the end.'
      }
    ];
  });
};
