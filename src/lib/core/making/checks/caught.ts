import { stepDoes } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { findPiece, type Item, type Role } from '$lib/core/documents/item';
import { type Check, type CheckContext, type Finding, handed, leavingAfter } from './finding';

/** Marks hold nothing. */
const MARKS: readonly Role[] = ['closure-mark', 'centre-mark'];

/** Pieces that no stitch catches, that are never laid at all, and hoopings in which nothing is stitched. */
export const caught: Check = (context) => [...uncaught(context), ...missing(context.item), ...idle(context)];

function uncaught(context: CheckContext): Finding[] {
  const { trace, item } = context;
  return handed(context, 'lay').flatMap(({ op, step, at, after }): Finding[] => {
    if (after.problem !== null || findPiece(item, op.pieceId)?.material.kind === 'heat-adhesive') return [];
    // Until it is lifted, or the work leaves the ring.
    const later = item.steps.slice(at + 1);
    const out = later.findIndex(
      (each) => stepDoes(each, 'unclamp') !== null || stepDoes(each, 'lift')?.pieceId === op.pieceId
    );
    const until = out < 0 ? item.steps.length : at + 1 + out;
    const stitched = trace
      .slice(at + 1, until)
      .some(({ state, stepId }) =>
        state.seams.some(
          (seam) => seam.stepId === stepId && !MARKS.includes(seam.role) && seam.layers.includes(op.pieceId)
        )
      );
    if (stitched) return [];
    return [
      /* It shows when the work leaves the ring. */ found(
        'caught/by-nothing',
        item.steps[until]?.id ?? step.id,
        { piece: findPiece(item, op.pieceId)?.name ?? 'the piece' },
        op.pieceId
      )
    ];
  });
}

function missing(item: Item): Finding[] {
  return item.pieces.flatMap(({ id, name, shows }): Finding[] => {
    const used = item.steps.some(
      (step) =>
        step.kind === 'hand' &&
        (('pieceId' in step.op && step.op.pieceId === id) ||
          ('pieceIds' in step.op && step.op.pieceIds?.includes(id) === true))
    );
    if (used && (shows === 'nothing' || isPlaced(item, id))) return [];
    return [found('caught/never-laid', null, { piece: name }, id)];
  });
}

function isPlaced(item: Item, id: string): boolean {
  return item.steps.some(
    (step) =>
      (stepDoes(step, 'clamp')?.pieceIds.includes(id) ?? false) || stepDoes(step, 'lay')?.pieceId === id
  );
}

function idle(context: CheckContext): Finding[] {
  const { item, trace } = context;
  const hoopings = handed(context, 'hoop');
  return hoopings.flatMap(({ step, at }, index): Finding[] => {
    const until = hoopings[index + 1]?.at ?? item.steps.length;
    const runs = trace
      .slice(at, until)
      .some(({ state, stepId }) => state.seams.some((seam) => seam.stepId === stepId));
    if (runs) return [];
    return [found('caught/idle-hooping', leavingAfter(item, at) ?? step.id, {})];
  });
}
