import { found } from '$lib/core/craft/findings';
import { findPiece } from '$lib/core/documents/item';
import { type Check, type Finding, handed } from './finding';

/** Topping that nothing takes off in the end. */
export const topping: Check = (context) => {
  const last = context.trace.at(-1)?.state;
  if (!last || last.hoop.where !== 'unhooped') return [];
  return handed(context, 'topping-on').flatMap(({ op, step }): Finding[] => {
    if (!last.layers.some(({ pieceId }) => pieceId === op.pieceId)) return [];
    return [
      found(
        'topping/left',
        step.id,
        { piece: findPiece(context.item, op.pieceId)?.name ?? 'The topping' },
        op.pieceId
      )
    ];
  });
};
