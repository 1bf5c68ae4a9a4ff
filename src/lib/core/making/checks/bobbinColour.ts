import { found } from '$lib/core/craft/findings';
import { addHandStep, findThread } from '$lib/core/documents/item';
import { matchingBobbins } from '$lib/core/craft/stack';
import { type Check, type Finding, runsOf } from './finding';

/** A bobbin that does not match where the back is seen: lace, cutwork, the edge of an item with a back of its own. */
export const bobbinColour: Check = (context) => {
  const { item, trace } = context;
  const last = trace.at(-1)?.state;
  if (!last) return [];
  const matching = matchingBobbins(item, last);
  const seamOf = new Map(last.seams.map((seam) => [seam.stepId, seam]));
  const said = new Set<string>();
  return runsOf(context).flatMap(({ stepId, called, threadId }): Finding[] => {
    const seam = seamOf.get(stepId);
    if (!seam || !matching.has(stepId) || seam.bobbin === threadId || said.has(threadId)) return [];
    said.add(threadId);
    const name = findThread(item, threadId)?.name.toLowerCase() ?? 'the upper thread';
    const at = item.steps.findIndex(({ id }) => id === stepId);
    return [
      {
        ...found('bobbin-colour/seen', stepId, { called, thread: name }, threadId),
        fix: {
          label: `Bobbin in ${name}`,
          apply: (before) =>
            addHandStep(before, item.steps[at - 1]?.id ?? null, `bobbin-for-${stepId}`, {
              do: 'bobbin',
              threadId
            })
        }
      }
    ];
  });
};
