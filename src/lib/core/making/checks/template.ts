import { found } from '$lib/core/craft/findings';
import { isSymmetrical } from '$lib/core/base/geometry';
import { findLine, type Item } from '$lib/core/documents/item';
import { type Check, type Finding, layStepOf } from './finding';

/** Pre-cut shapes that were cut the wrong way round: with the cloth wrong side up a shape must be mirrored. */
export const template: Check = ({ item }) =>
  item.pieces.flatMap((piece): Finding[] => {
    const line = piece.covers === null ? undefined : findLine(item, piece.covers);
    if (
      !piece.template ||
      !line ||
      piece.template.wrongSideUp === piece.template.mirrored ||
      isSymmetrical(line.path)
    )
      return [];
    return [
      {
        ...found(
          'template/wrong-way',
          layStepOf(item, piece.id)?.id ?? null,
          { piece: piece.name, wrongSideUp: piece.template.wrongSideUp },
          piece.id
        ),
        fix: { label: 'Turn the shape round', apply: (before) => turned(before, piece.id) }
      }
    ];
  });

function turned(item: Item, pieceId: string): Item {
  return {
    ...item,
    pieces: item.pieces.map((piece) =>
      piece.id === pieceId && piece.template
        ? { ...piece, template: { ...piece.template, mirrored: piece.template.wrongSideUp } }
        : piece
    )
  };
}
