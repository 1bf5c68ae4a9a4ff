import { findPiece } from '$lib/core/documents/item';
import { type Check, type Finding, handed, runsOf, titleOf } from './finding';

/** Snaps, eyelets and rings that are set before the needle has done its work, and hard parts left in a piece. */
export const hardParts: Check = (context) => {
  const runs = runsOf(context);
  const set = handed(context, 'hardware').flatMap(({ step, at, op }): Finding[] => {
    const next = runs.find((run) => run.at > at);
    if (!next || op.kind === 'ribbon-loop' || op.kind === 'hook-and-loop') return [];
    return [
      {
        checkId: 'hard-parts',
        severity: 'stop',
        stepId: step.id,
        text: `“${titleOf(context, step.id)}” comes before ${next.called.replace('Stop', 'stop')}: the needle can strike it.`,
        advice: 'Set hard parts when all stitching is done.'
      }
    ];
  });
  const left = handed(context, 'lay').flatMap(({ op, step, at }): Finding[] => {
    const piece = findPiece(context.item, op.pieceId);
    const cleared = handed(context, 'align-holes').some(
      (each) => each.at < at && each.op.pieceId === op.pieceId
    );
    if (!piece?.loose || cleared) return [];
    return [
      {
        checkId: 'hard-parts',
        severity: 'warn',
        stepId: step.id,
        text: `${piece.name} is laid without its hard parts taken out.`,
        advice: 'Take out everything hard and line up the holes of its layers first.'
      }
    ];
  });
  return [...set, ...left];
};
