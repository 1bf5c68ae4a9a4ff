import { found } from '$lib/core/craft/findings';
import { addHandStep } from '$lib/core/documents/item';
import { type Check, type Finding, handed } from './finding';

/** Pieces that are flipped while tape or pins still hold them. */
export const tapedFlip: Check = (context) =>
  handed(context, 'flip').flatMap(({ op, step, at, before }): Finding[] => {
    const layer = before.layers.find(({ pieceId }) => pieceId === op.pieceId);
    const by = layer?.holds.includes('tape') ? 'Tape' : layer?.holds.includes('pins') ? 'Pins' : null;
    if (!layer || by === null) return [];
    const previous = context.item.steps[at - 1]?.id ?? null;
    return [
      {
        ...found(
          by === 'Tape' ? 'taped-flip/tape' : 'taped-flip/pins',
          step.id,
          { piece: layer.name },
          layer.pieceId
        ),
        fix: {
          label: `${by} off first`,
          apply: (item) =>
            addHandStep(
              item,
              previous,
              `off-before-${step.id}`,
              by === 'Tape' ? { do: 'untape', strips: 4 } : { do: 'unpin' }
            )
        }
      }
    ];
  });
