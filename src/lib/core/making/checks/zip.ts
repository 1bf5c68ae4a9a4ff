import { stepDoes } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { extents, type Point } from '$lib/core/base/geometry';
import { findPiece, type Item } from '$lib/core/documents/item';
import { type Layer, liesAt } from '$lib/core/craft/stack';
import { type Check, type CheckContext, type Finding, handed, layStepOf } from './finding';

/** Zips that break needles, that are closed when the work is covered, or that lead into stabiliser. */
export const zip: Check = (context) => [...metal(context), ...closed(context), ...blocked(context)];

function metal({ item }: CheckContext): Finding[] {
  return item.pieces.flatMap((piece): Finding[] =>
    piece.material.kind === 'metal-zip'
      ? [
          {
            ...found('zip/metal', layStepOf(item, piece.id)?.id ?? null, { piece: piece.name }, piece.id),
            fix: { label: 'Nylon', apply: (before) => nylon(before, piece.id) }
          }
        ]
      : []
  );
}

function nylon(item: Item, pieceId: string): Item {
  return {
    ...item,
    pieces: item.pieces.map((piece) =>
      piece.id === pieceId
        ? { ...piece, material: { ...piece.material, kind: 'zip', name: 'Nylon zip' } }
        : piece
    )
  };
}

function closed(context: CheckContext): Finding[] {
  const { item } = context;
  const turns = handed(context, 'turn-through').some(({ op }) => op.pieceId !== undefined);
  if (!turns) return [];
  const said = new Set<string>();
  return handed(context, 'lay').flatMap(({ op, step, after }): Finding[] => {
    const flipped = item.steps.some((each) => stepDoes(each, 'flip')?.pieceId === op.pieceId);
    const layer = after.state.layers.find(({ pieceId }) => pieceId === op.pieceId);
    if (flipped || op.side === 'below' || !layer) return [];
    return after.state.layers.flatMap((under): Finding[] => {
      if (under.zip !== 'closed' || under === layer || said.has(under.pieceId)) return [];
      if (!middle(under).some((point) => liesAt(layer, point))) return [];
      said.add(under.pieceId);
      return [found('zip/closed', step.id, { zip: under.name, piece: layer.name }, under.pieceId)];
    });
  });
}

function blocked(context: CheckContext): Finding[] {
  return handed(context, 'turn-through').flatMap(({ op, step, before, after }): Finding[] => {
    const layer = before.layers.find(({ pieceId }) => pieceId === op.pieceId);
    if (!layer || after.problem !== null) return [];
    // Only what is one sheet with the zip closes it; panels end beside it.
    const sheet = new Set(
      before.seams
        .filter(({ role, layers }) => role !== 'closing-seam' && layers.includes(layer.pieceId))
        .flatMap(({ layers }) => layers)
    );
    const across = before.layers.find(
      (each) =>
        each !== layer &&
        sheet.has(each.pieceId) &&
        middle(layer).filter((point) => liesAt(each, point)).length > 3
    );
    if (!across) return [];
    return [
      found(
        'zip/blocked',
        step.id,
        { across: across.name, zip: findPiece(context.item, layer.pieceId)?.name ?? 'the zip' },
        across.pieceId
      )
    ];
  });
}

/** Points along the middle of a zip, away from its ends. */
function middle(layer: Layer): Point[] {
  const points = layer.outline.flat();
  if (points.length === 0) return [];
  const { minX, minY, maxY, width } = extents({ closed: true, points });
  return [0.3, 0.4, 0.5, 0.6, 0.7].map((share): Point => [minX + width * share, (minY + maxY) / 2]);
}
