import { found } from '$lib/core/craft/findings';
import { mirrored, type Path } from '$lib/core/base/geometry';
import { findLine, type Item } from '$lib/core/documents/item';
import { samplesOf } from '$lib/core/craft/stack';
import { type Check, distanceTo, type Finding, layStepOf } from './finding';

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

/** Whether a shape is the same when it is mirrored about its own middle. */
function isSymmetrical(path: Path): boolean {
  const xs = path.points.map(([x]) => x);
  const middle = (Math.min(...xs) + Math.max(...xs)) / 2;
  const other = mirrored(path).points.map(([x, y]): [number, number] => [x + 2 * middle, y]);
  const shape = { ...path, points: other };
  return samplesOf(shape).every((point) => distanceTo(path, point, 0.5) < 0.5);
}
