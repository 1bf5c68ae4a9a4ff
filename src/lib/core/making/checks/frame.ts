import { found } from '$lib/core/craft/findings';
import { addHandStep } from '$lib/core/documents/item';
import { type Check, type Finding, handed, runsOf } from './finding';

/** The first stop that would be stitched after the frame was brought forward, and has not gone back. */
export const frame: Check = (context) => {
  const runs = runsOf(context);
  return handed(context, 'frame-forward').flatMap(({ at }): Finding[] => {
    const run = runs.find((each) => each.at > at);
    if (run?.before.hoop.where !== 'forward') return [];
    const { stepId, called } = run;
    const previous = context.item.steps[run.at - 1]?.id ?? null;
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
};
