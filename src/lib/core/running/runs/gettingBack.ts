import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Machine } from '$lib/core/documents/shop';
import type { Bookmark } from './runState';
import { BACK_UP } from './recovery';
import { stitchesBefore } from './typedStitch';

/**
 * How to get back to where a half-stitched hooping was left, in order.
 *
 * @param machine its setting says whether it counts stitches within the stop or over the whole design
 *
 * @example
 * gettingBack(plan, item, { stepId: 'stop-5', stop: 5, stitch: 400, … }, machine)
 * // […, 'Go to stop 5, then forward to stitch 390.', 'Watch the first stitches …']
 */
export function gettingBack(
  plan: Plan,
  item: Item | undefined,
  { stepId, stop, stitch }: Pick<Bookmark, 'stepId' | 'stop' | 'stitch'>,
  machine: Pick<Machine, 'counts'> | undefined
): string[] {
  const at = plan.steps.findIndex(({ id }) => id === stepId);
  const step = plan.steps[at];
  if (!step) return ['Look where the work stands, and go on from there.'];
  const said: string[] = [];
  const ownStep = item?.steps.find(({ id }) => id === (step.itemStepId ?? step.id));
  const hooping = item?.hoopings.find(({ id }) => id === ownStep?.hoopingId);
  const several = (item?.hoopings.length ?? 1) > 1;
  if (step.hoop.where === 'on' || step.kind === 'stop')
    said.push(
      `Put ${several && hooping ? `the hoop of ${hooping.name.toLowerCase()}` : 'the hoop'} back on: ${plan.hoop.name.toLowerCase()}, seated fully at both sides${step.hoop.turned ? ', turned over as it was' : ''}.`
    );
  const file = item?.files.find(({ stops }) => stops.some(({ id }) => id === step.stop?.stopId));
  if (step.kind === 'stop') said.push(`Load ${file?.name || 'the file'} if another is in the machine.`);
  if (step.thread) said.push(`Thread ${step.thread.name}.`);
  const number = stop ?? step.stop?.machineNumber ?? null;
  if (number !== null && step.stop) {
    const from = Math.max(0, (stitch ?? 0) - BACK_UP);
    const before = stitchesBefore(plan, at);
    said.push(
      stitch === null
        ? `Go to stop ${number}; find the stitch where it ended by eye.`
        : machine?.counts === 'design'
          ? `Go to stop ${number}, stitch ${(before + from).toLocaleString('en')} of the whole design.`
          : `Go to stop ${number}, then forward to stitch ${from.toLocaleString('en')}.`
    );
    said.push(
      'Watch the first stitches: they must fall into the holes of the last ones. Halt if they do not.'
    );
  }
  return said.length > 0 ? said : [`Go on with step ${step.number}, ${step.title.toLowerCase()}.`];
}
