import { found } from '$lib/core/craft/findings';
import { extents } from '$lib/core/base/geometry';
import { findPiece } from '$lib/core/documents/item';
import { type Check, type Finding, handed } from './finding';

/** Hooped material that the ring does not catch on all four edges: it puckers. */
export const ring: Check = (context) =>
  handed(context, 'hoop').flatMap(({ op, step, after }): Finding[] => {
    const { ring: needed } = context.plan.hoop;
    return after.state.layers.flatMap(({ pieceId, name, outline }): Finding[] => {
      if (!op.pieceIds.includes(pieceId) || outline.length === 0) return [];
      const box = extents({ closed: true, points: outline.flat() });
      // What was bought is as large as it is, and lies where its design goes.
      if (findPiece(context.item, pieceId)?.readyMade) {
        const [x, y] = [needed.width / 2, needed.height / 2];
        const overMm = Math.max(x + box.minX, x - box.maxX, y + box.minY, y - box.maxY);
        const values = { piece: name, overMm, unit: context.plan.unit };
        return overMm < 1 ? [] : [found('ring/off-thing', step.id, values, pieceId)];
      }
      if (box.width >= needed.width && box.height >= needed.height) return [];
      return [
        {
          ...found('ring/small', step.id, { piece: name, ...needed, unit: context.plan.unit }, pieceId),
          fix: {
            label: 'Cut it by the rule',
            apply: (item) => ({
              ...item,
              pieces: item.pieces.map((piece) => (piece.id === pieceId ? { ...piece, overrides: {} } : piece))
            })
          }
        }
      ];
    });
  });
