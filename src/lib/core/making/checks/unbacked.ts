import { found } from '$lib/core/craft/findings';
import { addHandStep, namesIn } from '$lib/core/documents/item';
import { type Check, type Finding, handed } from './finding';

/** Cloth that should have interfacing, web or mesh behind it, and no step fuses it there. */
export const unbacked: Check = (context) => {
  const fused = new Set(handed(context, 'back-cloth').flatMap(({ op }) => op.pieceIds));
  return context.item.pieces.flatMap(({ id, name, backed = [] }): Finding[] => {
    const used = context.item.steps.find(
      (step) => step.kind === 'hand' && namesIn(step.op).some((named) => named.id === id)
    );
    if (backed.length === 0 || fused.has(id) || !used) return [];
    const material = backed.map((each) => each.name.toLowerCase()).join(' and ');
    return [
      {
        ...found('backed/left-out', used.id, { piece: name, material }, id),
        fix: {
          label: `Fuse it to ${name}`,
          apply: (item) => addHandStep(item, null, `back-${id}`, { do: 'back-cloth', pieceIds: [id] })
        }
      }
    ];
  });
};
