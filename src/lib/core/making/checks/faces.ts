import { found } from '$lib/core/craft/findings';
import { editStep, isTwoSided, type Piece } from '$lib/core/documents/item';
import { outside, type Shown } from '$lib/core/craft/stack';
import { type Check, type CheckContext, type Finding, layStepOf, layStepsOf } from './finding';

/** Pieces that end with the wrong side out, or hidden although they should be seen. */
export const faces: Check = (context) => {
  const last = context.trace.at(-1)?.state;
  // Only work that is out of the hoop is finished.
  if (!last || last.hoop.where !== 'unhooped') return [];
  const seen = outside(last, context.item);
  return context.item.pieces.flatMap((piece): Finding[] => {
    if (piece.shows === 'nothing' || piece.seenLater) return [];
    if (!last.layers.some(({ pieceId }) => pieceId === piece.id)) return [];
    // A lining is looked for where a zip shows it.
    if (piece.shows === 'lining' && seen.lining.length === 0) return [];
    const other = laidOtherwise(context, piece);
    if (other) return [other];
    const shown = seen[piece.shows].filter(({ layer }) => layer.pieceId === piece.id);
    return shown.length > 0 ? wrongSide(context, piece, shown) : hidden(context, piece);
  });
};

function wrongSide({ item }: CheckContext, piece: Piece, shown: Shown[]): Finding[] {
  if (shown.every(({ rightSide }) => rightSide) || isTwoSided(piece.material.kind)) return [];
  const laid = layStepsOf(item, piece.id).at(-1);
  return [
    {
      ...found('faces/wrong-side', laid?.id ?? null, { piece: piece.name }, piece.id),
      ...(laid && {
        fix: {
          label: 'Turn it',
          apply: (before) =>
            editStep(before, laid.id, { op: { ...laid.op, face: laid.op.face === 'up' ? 'down' : 'up' } })
        }
      })
    }
  ];
}

const WHERE = { front: 'in front', back: 'behind', lining: 'inside', nothing: 'anywhere' };

function hidden({ item }: CheckContext, { id, name, shows }: Piece): Finding[] {
  return [found('faces/hidden', layStepOf(item, id)?.id ?? null, { piece: name, where: WHERE[shows] }, id)];
}

/** A piece laid several times must lie the same way up each time. */
function laidOtherwise({ item }: CheckContext, { id, name, material }: Piece): Finding | undefined {
  const laid = layStepsOf(item, id);
  const last = laid.at(-1);
  const other = laid.find(({ op }) => op.face !== last?.op.face);
  if (!other || !last || isTwoSided(material.kind)) return undefined;
  return {
    ...found('faces/laid-otherwise', last.id, { piece: name }, id),
    fix: {
      label: 'Turn it',
      apply: (before) => editStep(before, last.id, { op: { ...last.op, face: other.op.face } })
    }
  };
}
