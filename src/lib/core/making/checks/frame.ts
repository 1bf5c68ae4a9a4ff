import { found } from '$lib/core/craft/findings';
import { addHandStep } from '$lib/core/documents/item';
import { type Check, type Finding, runsOf } from './finding';

/** Stops that would be stitched while the frame is brought forward. */
export const frame: Check = (context) =>
  runsOf(context).flatMap(({ stepId, at, called, before }): Finding[] => {
    if (before.hoop.where !== 'forward') return [];
    const previous = context.item.steps[at - 1]?.id ?? null;
    return [
      {
        ...found('frame/forward', stepId, { called }),
        fix: {
          label: 'Send the frame back',
          apply: (item) => addHandStep(item, previous, `frame-back-before-${stepId}`, { do: 'frame-back' })
        }
      }
    ];
  });
