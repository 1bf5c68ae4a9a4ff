import { found } from '$lib/core/craft/findings';
import { addHandStep } from '$lib/core/documents/item';
import { type Check, type Finding, handed, layStepOf } from './finding';

/** Strips of tape that keep a layer flat under the hoop. */
const CORNERS = 4;

/** Layers under the hoop that can fold or catch while it slides on, when nobody looks underneath. */
export const sliding: Check = (context) => {
  const { item } = context;
  const said = new Set<string>();
  return handed(context, 'hoop-on').flatMap(({ at, step, after }): Finding[] => {
    const next = item.steps.slice(at + 1).findIndex(({ kind }) => kind === 'stop');
    const between = item.steps.slice(at + 1, next < 0 ? undefined : at + 1 + next);
    if (between.some((each) => each.kind === 'hand' && each.op.do === 'check-under')) return [];
    return after.state.layers.flatMap(({ pieceId, name, where, holds, strips }): Finding[] => {
      const firm = strips >= CORNERS || holds.includes('stitched') || holds.includes('fused');
      if (where !== 'below' || holds.length === 0 || firm || said.has(pieceId)) return [];
      said.add(pieceId);
      return [
        {
          ...found('sliding/folds', layStepOf(item, pieceId)?.id ?? step.id, { piece: name }, pieceId),
          fix: {
            label: 'Look underneath',
            apply: (before) => addHandStep(before, step.id, `look-${step.id}`, { do: 'check-under' })
          }
        }
      ];
    });
  });
};
