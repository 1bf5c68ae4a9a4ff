import { found } from '$lib/core/craft/findings';
import { findPiece, type Role } from '$lib/core/documents/item';
import { shareOn } from '$lib/core/craft/stack';
import { type Check, type Finding, isStabiliser, runsOf } from './finding';

const NEEDS_CLOTH: readonly Role[] = [
  'decoration',
  'lettering',
  'quilting',
  'satin-edge',
  'applique-edge',
  'topstitch'
];

/** Stitching meant for cloth that would run on bare stabiliser. */
export const bare: Check = (context) => {
  // A patch may be stitched wholly on cutaway.
  const isSeen = (pieceId: string): boolean => findPiece(context.item, pieceId)?.shows === 'front';
  return runsOf(context).flatMap(({ role, stepId, called, paths, before }): Finding[] => {
    if (!NEEDS_CLOTH.includes(role) || paths.length === 0 || before.layers.length === 0) return [];
    if (
      before.layers.some(
        (layer) =>
          (!isStabiliser(layer) || isSeen(layer.pieceId)) && paths.some((path) => shareOn(layer, path) > 0.3)
      )
    )
      return [];
    return [found('bare/no-cloth', stepId, { called })];
  });
};
