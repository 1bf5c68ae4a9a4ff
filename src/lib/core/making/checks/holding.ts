import { hoopMove } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { editStep, type Item } from '$lib/core/documents/item';
import { type Check, type Finding, layStepOf } from './finding';

/** Layers under the hoop that nothing holds while the hoop slides on. */
export const holding: Check = ({ item, trace }) => {
  const said = new Set<string>();
  return trace.flatMap(({ stepId, state }): Finding[] => {
    const step = item.steps.find(({ id }) => id === stepId);
    if (step?.kind !== 'hand' || hoopMove(step.op) !== 'on') return [];
    return state.layers.flatMap(({ pieceId, name, where, holds }): Finding[] => {
      const laid = layStepOf(item, pieceId);
      if (where !== 'below' || holds.length > 0 || !laid || said.has(pieceId)) return [];
      said.add(pieceId);
      const tape = (before: Item): Item =>
        editStep(before, laid.id, { op: { ...laid.op, hold: { by: 'tape', strips: 4 } } });
      return [
        {
          ...found('holding/nothing', laid.id, { piece: name }, pieceId),
          fix: { label: 'Tape it', apply: tape }
        }
      ];
    });
  });
};
