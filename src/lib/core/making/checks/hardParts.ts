import { found } from '$lib/core/craft/findings';
import { findPiece } from '$lib/core/documents/item';
import { type Check, type Finding, handed, runsOf, titleOf } from './finding';

/** Snaps, eyelets and rings that are set before the needle has done its work, and hard parts left in a piece. */
export const hardParts: Check = (context) => {
  const runs = runsOf(context);
  const set = handed(context, 'hardware').flatMap(({ step, at, op }): Finding[] => {
    const next = runs.find((run) => run.at > at);
    if (!next || op.kind === 'ribbon-loop' || op.kind === 'hook-and-loop') return [];
    return [found('hard-parts/early', step.id, { step: titleOf(context, step.id), called: next.called })];
  });
  const left = handed(context, 'lay').flatMap(({ op, step, at }): Finding[] => {
    const piece = findPiece(context.item, op.pieceId);
    const cleared = handed(context, 'align-holes').some(
      (each) => each.at < at && each.op.pieceId === op.pieceId
    );
    if (!piece?.loose || cleared) return [];
    return [found('hard-parts/left-in', step.id, { piece: piece.name }, piece.id)];
  });
  return [...set, ...left];
};
