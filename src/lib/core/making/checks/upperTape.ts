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
          checkId: 'upper-tape',
          severity: 'warn',
          stepId: laid.id,
          text: over
            ? `Only ${over.name} is held; ${layer.name} beneath it can shift.`
            : `Nothing holds ${layer.name} when it is stitched.`,
          advice: over ? 'Tape both layers, each by itself.' : 'Tape, spray or pin it first.',
          fix: { label: `Tape ${layer.name}`, apply: tape }
        }
      ];
    });
  });
