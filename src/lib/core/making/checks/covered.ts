import { found } from '$lib/core/craft/findings';
import { findPiece, WASHES_OUT } from '$lib/core/documents/item';
import { type Check, type Finding, runsOf, SURFACE } from './finding';

/** Stitching meant to be seen that would run after its surface is covered. */
export const covered: Check = (context) =>
  runsOf(context).flatMap(({ role, stepId, called, after }): Finding[] => {
    const upper = after.state.seams.at(-1)?.upper;
    const layer = after.state.layers.find(({ pieceId }) => pieceId === upper?.pieceId);
    if (!SURFACE.includes(role) || !upper || !layer || WASHES_OUT.includes(layer.material.kind)) return [];
    const hides = findPiece(context.item, layer.pieceId)?.shows === 'nothing' && layer.where === 'above';
    if (
      !hides &&
      (upper.side === 'right' || layer.folded || findPiece(context.item, layer.pieceId)?.shows === 'nothing')
    )
      return [];
    return [found('covered/surface', stepId, { called, layer: layer.name, hidden: hides }, layer.pieceId)];
  });
