import { isStabiliserKind, type Item } from '$lib/core/documents/item';

/** The hooped stabiliser, one layer thicker. */
export const oneLayerMore = {
  label: 'One more layer of stabiliser',
  change: (item: Item): Item => {
    const hooped = new Set(item.hoopings.flatMap((hooping) => hooping.hooped));
    const first = item.pieces.find(({ id, material }) => hooped.has(id) && isStabiliserKind(material.kind));
    return {
      ...item,
      pieces: item.pieces.map((piece) =>
        piece === first ? { ...piece, plies: Math.min(20, piece.plies + 1) } : piece
      )
    };
  }
};
