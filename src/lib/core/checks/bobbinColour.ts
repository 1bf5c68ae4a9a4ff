import { addHandStep, findThread, type Role } from '$lib/core/item';
import { outside, visibleThreads } from '$lib/core/stack';
import { LACE, runsOf, type Check, type Finding } from './finding';

const OPEN_WORK: readonly Role[] = [...LACE, 'bars'];

/** A bobbin that does not match where the back is seen: lace, cutwork, the edge of an item with a back of its own. */
export const bobbinColour: Check = (context) => {
  const { item, trace } = context;
  const last = trace.at(-1)?.state;
  if (!last) return [];
  const shows = new Map(visibleThreads(last).map(({ stepId, bobbin }) => [stepId, bobbin !== null]));
  const seamOf = new Map(last.seams.map((seam) => [seam.stepId, seam]));
  const cutwork = last.seams.some(({ role }) => role === 'bars');
  // On felt many accept a white bobbin: a preference, not an error.
  const backs = outside(last, item).back.some(
    ({ layer }) =>
      item.pieces.some(({ id, shows: side }) => id === layer.pieceId && side === 'back') &&
      layer.material.kind !== 'felt'
  );
  const said = new Set<string>();
  return runsOf(context).flatMap(({ stepId, called, role, threadId }): Finding[] => {
    const seam = seamOf.get(stepId);
    const open = OPEN_WORK.includes(role) || (role === 'satin-edge' && cutwork);
    // Lace is seen from both sides, whatever carried it.
    const seen = open || (role === 'satin-edge' && backs && shows.get(stepId) === true);
    if (!seam || !seen || seam.bobbin === threadId || said.has(threadId)) return [];
    said.add(threadId);
    const name = findThread(item, threadId)?.name.toLowerCase() ?? 'the upper thread';
    const at = item.steps.findIndex(({ id }) => id === stepId);
    return [
      {
        checkId: 'bobbin-colour',
        severity: 'warn',
        stepId,
        text: `The back of ${called.replace('Stop', 'stop')} is seen, and the bobbin is not ${name}.`,
        advice: `Put a bobbin wound with ${name} in before it.`,
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
