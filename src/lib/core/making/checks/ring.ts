import { found } from '$lib/core/craft/findings';
import { extents } from '$lib/core/base/geometry';
import { type Check, type Finding, handed } from './finding';

/** Hooped material that the ring does not catch on all four edges: it puckers. */
export const ring: Check = (context) =>
  handed(context, 'hoop').flatMap(({ op, step, after }): Finding[] => {
    const { ring: needed } = context.plan.hoop;
    return after.state.layers.flatMap(({ pieceId, name, outline }): Finding[] => {
      if (!op.pieceIds.includes(pieceId) || outline.length === 0) return [];
      const { width, height } = extents({ closed: true, points: outline.flat() });
      if (width >= needed.width && height >= needed.height) return [];
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
