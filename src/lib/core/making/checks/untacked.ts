import { found } from '$lib/core/craft/findings';
import { findPiece, type Role, WASHES_OUT } from '$lib/core/documents/item';
import { type Check, type Finding, runsOf } from './finding';

const OVER: readonly Role[] = ['decoration', 'lettering', 'satin-edge', 'applique-edge'];

/** Dense stitching on a piece that only tape or pins hold yet: it would creep. */
export const untacked: Check = (context) => {
  const said = new Set<string>();
  return runsOf(context).flatMap(({ role, stepId, called, before, after }): Finding[] => {
    const joined = after.state.seams.at(-1)?.layers ?? [];
    if (!OVER.includes(role)) return [];
    return before.layers.flatMap(({ pieceId, name, where, holds, material }): Finding[] => {
      // What is whole and hangs from the ring by its own weight is held by pins round the design.
      const bought = findPiece(context.item, pieceId)?.readyMade !== undefined;
      const firm = holds.some((hold) => hold !== 'tape' && (bought || hold !== 'pins'));
      if (
        WASHES_OUT.includes(material.kind) ||
        where === 'hooped' ||
        firm ||
        !joined.includes(pieceId) ||
        holds.length === 0 ||
        said.has(pieceId)
      )
        return [];
      said.add(pieceId);
      return [found('untacked/over', stepId, { piece: name, called }, pieceId)];
    });
  });
};
