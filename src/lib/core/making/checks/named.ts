import { found } from '$lib/core/craft/findings';
import { findPiece } from '$lib/core/documents/item';
import { isNamedFor } from '$lib/core/craft/operations';
import { type Check, type Finding, handed, runsOf } from './finding';

/** Tack-downs named for a piece that is laid only later. */
export const named: Check = (context) => {
  const laid = handed(context, 'lay');
  return runsOf(context).flatMap(({ stop, stepId, at }): Finding[] => {
    if (stop?.role !== 'tack-down' || /placement/i.test(stop.name)) return [];
    const lays = laid.filter(({ op }) =>
      isNamedFor(stop.name, findPiece(context.item, op.pieceId)?.name ?? '')
    );
    const [first] = lays;
    if (!first || lays.some((each) => each.at < at)) return [];
    const piece = findPiece(context.item, first.op.pieceId)?.name ?? '';
    return [found('order/before-piece', stepId, { stop: stop.number, name: stop.name, piece })];
  });
};
