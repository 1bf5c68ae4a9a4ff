import { fusedBy } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { intersection, regionArea } from '$lib/core/base/geometry';
import { type Check, type Finding, handed } from './finding';

/** Film topping that a fused piece would trap for good. */
export const film: Check = (context) =>
  handed(context, 'fuse', 'lay').flatMap(({ op, step, after }): Finding[] => {
    if (fusedBy(op) === null) return [];
    const { layers } = after.state;
    const at = layers.findIndex(({ pieceId }) => pieceId === op.pieceId);
    const piece = layers[at];
    const trapped = layers
      .slice(0, Math.max(0, at))
      .find(
        ({ material, outline }) =>
          material.kind === 'wash-away-film' && piece && regionArea(intersection(outline, piece.outline)) > 1
      );
    if (!trapped || !piece) return [];
    return [found('film/trapped', step.id, { film: trapped.name, piece: piece.name }, piece.pieceId)];
  });
