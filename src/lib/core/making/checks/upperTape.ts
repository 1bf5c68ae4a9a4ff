import { found } from '$lib/core/craft/findings';
import { editStep, type Item } from '$lib/core/documents/item';
import { type Check, type Finding, layStepsOf, runsOf } from './finding';

/** Layers that nothing holds when they are stitched, as the lower of two of which only the upper is taped. */
export const upperTape: Check = (context) =>
  runsOf(context).flatMap(({ before, after, at: runAt }): Finding[] => {
    const joined = after.state.seams.at(-1)?.layers ?? [];
    return before.layers.flatMap((layer, at): Finding[] => {
      const laid = layStepsOf(context.item, layer.pieceId).findLast(
        ({ id }) => context.item.steps.findIndex((step) => step.id === id) < runAt
      );
      if (!laid || layer.where !== 'above' || layer.holds.length > 0 || !joined.includes(layer.pieceId))
        return [];
      const over = before.layers
        .slice(at + 1)
        .find(({ holds }) => holds.includes('tape') || holds.includes('pins'));
      const tape = (item: Item): Item =>
        editStep(item, laid.id, { op: { ...laid.op, hold: { by: 'tape', strips: 4 } } });
      return [
        {
          ...(over
            ? found('upper-tape/only-upper', laid.id, { over: over.name, piece: layer.name }, layer.pieceId)
            : found('upper-tape/nothing', laid.id, { piece: layer.name }, layer.pieceId)),
          fix: { label: `Tape ${layer.name}`, apply: tape }
        }
      ];
    });
  });
