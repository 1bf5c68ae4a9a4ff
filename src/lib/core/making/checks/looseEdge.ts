import { found } from '$lib/core/craft/findings';
import { findPiece } from '$lib/core/documents/item';
import { type Check, type Finding, runsOf } from './finding';

/** Loose petals and edges that the foot can catch. */
export const looseEdge: Check = (context) => {
  const said = new Set<string>();
  return runsOf(context).flatMap(({ stepId, called, before }): Finding[] =>
    before.layers.flatMap(({ pieceId, name, holds }, at): Finding[] => {
      const held = holds.some(
        (hold) => hold === 'tape' || hold === 'spray' || hold === 'glue' || hold === 'fused'
      );
      const topped = before.layers.slice(at + 1).some(({ material }) => material.kind === 'wash-away-film');
      if (!findPiece(context.item, pieceId)?.loose || held || topped || said.has(pieceId)) return [];
      said.add(pieceId);
      return [found('loose-edge/foot', stepId, { piece: name, called }, pieceId)];
    })
  );
};
