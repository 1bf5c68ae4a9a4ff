import { editStep, findPiece, type MaterialKind, type Piece } from '$lib/core/item';
import { outside, type Shown } from '$lib/core/stack';
import { layStepOf, type Check, type CheckContext, type Finding } from './finding';

/** Materials that look the same on both sides. */
const TWO_SIDED: readonly MaterialKind[] = ['felt', 'batting'];

/** Pieces that end with the wrong side out, or hidden although they should be seen. */
export const faces: Check = (context) => {
  const last = context.trace.at(-1)?.state;
  // Only work that is out of the hoop is finished.
  if (!last || last.hoop.where !== 'unhooped') return [];
  const { front, back } = outside(last);
  return context.item.pieces.flatMap((piece): Finding[] => {
    if (piece.shows !== 'front' && piece.shows !== 'back') return [];
    const shown = piece.shows === 'front' ? front : back;
    if (!last.layers.some(({ pieceId }) => pieceId === piece.id)) return [];
    // The lower face of a single layer is its own back; what is ironed behind hides no right side.
    return shown?.layer.pieceId === piece.id ? wrongSide(context, piece, shown) : hidden(context, piece);
  });
};

function wrongSide({ item }: CheckContext, piece: Piece, shown: Shown): Finding[] {
  if (shown.rightSide || TWO_SIDED.includes(piece.material.kind)) return [];
  const laid = layStepOf(item, piece.id);
  return [
    {
      checkId: 'faces',
      severity: 'stop',
      stepId: laid?.id ?? null,
      text: `${piece.name} ends with its wrong side out.`,
      advice: 'Lay it the other way up.',
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

function hidden({ item }: CheckContext, { id, name, shows }: Piece): Finding[] {
  const others = item.pieces.filter((other) => other.id !== id && findPiece(item, other.id)?.shows === shows);
  // Of several pieces that show on one side, each may hide a part of the next.
  if (others.length > 0) return [];
  return [
    {
      checkId: 'faces',
      severity: 'stop',
      stepId: layStepOf(item, id)?.id ?? null,
      text: `${name} should be seen ${shows === 'front' ? 'in front' : 'behind'}, but another layer hides it.`,
      advice: 'Lay it on the other side of the hoop, or in another order.'
    }
  ];
}
