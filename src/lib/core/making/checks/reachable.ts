import { found } from '$lib/core/craft/findings';
import { findLine } from '$lib/core/documents/item';
import { type Layer, MOST_HIDDEN, shareOn } from '$lib/core/craft/stack';
import { type Check, type Finding, handed, isStabiliser } from './finding';

/** Pieces that are trimmed when other layers lie over and under the line, and pieces trimmed before any stitch holds them. */
export const reachable: Check = (context) =>
  handed(context, 'trim', 'cut-away-behind').flatMap(({ op, step, before }): Finding[] => {
    const path = findLine(context.item, op.lineId)?.path;
    if (!path) return [];
    // Film is lifted while one cuts under it.
    const hides = (layer: Layer): boolean =>
      !op.pieceIds.includes(layer.pieceId) &&
      !(layer.material.kind === 'wash-away-film' && layer.where === 'above') &&
      shareOn(layer, path) > MOST_HIDDEN;
    return op.pieceIds.flatMap((pieceId): Finding[] => {
      const at = before.layers.findIndex((layer) => layer.pieceId === pieceId);
      const layer = before.layers[at];
      if (!layer) return [];
      const above = before.layers.slice(at + 1).find(hides);
      const below = before.layers.slice(0, at).find(hides);
      if (above && below)
        return [
          found(
            'reachable/between',
            step.id,
            {
              layer: layer.name,
              below: below.name,
              above: above.name,
              last: (isStabiliser(above) ? below : above).name
            },
            pieceId
          )
        ];
      if (op.do !== 'trim' || layer.where === 'hooped' || layer.holds.includes('stitched')) return [];
      return [found('reachable/loose', step.id, { layer: layer.name }, pieceId)];
    });
  });
