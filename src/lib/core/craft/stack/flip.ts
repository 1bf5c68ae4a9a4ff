import type { StackEffect } from '$lib/core/craft/operations';
import { mirroredAcross, type Path, type Point, regionArea, splitAlong } from '$lib/core/base/geometry';
import { findLine, type Item } from '$lib/core/documents/item';
import { nameOf } from './laying';
import { type Change, refuse, type StackState, touch } from './state';

/** Distance within which a seam counts as lying on a fold, mm. */
const ON_FOLD_MM = 1;

/**
 * Folds a layer over at a straight seam: the larger part beyond the fold is mirrored and shows its other face, the
 * allowance stays. Flipping twice brings it back.
 */
export function flip(state: StackState, op: Extract<StackEffect, { does: 'flip' }>, item: Item): Change {
  const layer = state.layers.find(({ pieceId }) => pieceId === op.pieceId);
  const name = nameOf(item, op.pieceId);
  if (!layer) return refuse(state, `${name} is not in the hoop, so it cannot be flipped.`);
  const path = findLine(item, op.lineId)?.path;
  const [from, to] = path?.points ?? [];
  if (!path || !from || !to || path.closed || path.points.length !== 2) {
    return refuse(state, `${name} can only be flipped at a straight seam.`);
  }
  const seams = state.seams.filter(({ layers }) => layers.includes(op.pieceId));
  if (seams.length === 0) return refuse(state, `No seam holds ${name}, so there is nothing to flip it at.`);
  const elsewhere = seams.some(({ paths }) => paths.some((seam) => !liesOn(seam, from, to)));
  if (elsewhere)
    return refuse(state, `A seam away from the fold holds ${name} down, so it cannot be flipped.`);
  // A part already folded here goes back whole; otherwise the fold parts it from its allowance.
  const folded = layer.folds.some(({ lineId }) => lineId === op.lineId);
  const [left, right] = folded ? [layer.outline, layer.allowance] : splitAlong(layer.outline, from, to);
  const [moving, staying] = folded || regionArea(left) >= regionArea(right) ? [left, right] : [right, left];
  return touch(state, [op.pieceId], (old) => ({
    ...old,
    outline: mirroredAcross(moving, from, to),
    allowance: staying,
    face: old.face === 'up' ? 'down' : 'up',
    folds: folded
      ? old.folds.filter(({ lineId }) => lineId !== op.lineId)
      : [...old.folds, { lineId: op.lineId, from, to }]
  }));
}

/** Whether a path runs along the straight line through two points. */
function liesOn(path: Path, [x1, y1]: Point, [x2, y2]: Point): boolean {
  const length = Math.hypot(x2 - x1, y2 - y1);
  return path.points.every(
    ([x, y]) => Math.abs((x2 - x1) * (y1 - y) - (x1 - x) * (y2 - y1)) / length <= ON_FOLD_MM
  );
}
