import { found } from '$lib/core/craft/findings';
import { findLine } from '$lib/core/documents/item';
import { gapsOf, LEAST_OPENING_MM, rightSides } from '$lib/core/craft/stack';
import { type Check, type CheckContext, type Finding, handed, runsOf } from './finding';

/** Closing seams that leave no opening, or one too small to turn the work through. */
export const opening: Check = (context) => [...tooSmall(context), ...twofold(context)];

function tooSmall(context: CheckContext): Finding[] {
  return handed(context, 'turn-through').flatMap(({ op }): Finding[] => {
    const line = op.lineId === undefined ? undefined : findLine(context.item, op.lineId);
    const seam =
      line &&
      runsOf(context).find(({ lineIds, role }) => role === 'closing-seam' && lineIds.includes(line.id));
    if (!line || !seam) return [];
    const left = Math.max(0, ...line.gaps.map(({ from, to }) => to - from));
    if (left >= LEAST_OPENING_MM) return [];
    const least = { leastMm: LEAST_OPENING_MM, unit: context.plan.unit };
    return [
      left === 0
        ? found('opening/none', seam.stepId, { line: line.name.toLowerCase(), ...least }, line.id)
        : found(
            'opening/small',
            seam.stepId,
            { line: line.name.toLowerCase(), leftMm: left, ...least },
            line.id
          )
    ];
  });
}

/** An opening that leads between two pairs of right sides: the outer layers stay open as well. */
function twofold(context: CheckContext): Finding[] {
  return handed(context, 'turn-through').flatMap(({ op, step, before, after }): Finding[] => {
    if (op.lineId === undefined || after.problem !== null) return [];
    const open = gapsOf(before).filter(
      (gap) =>
        gap.opening >= LEAST_OPENING_MM &&
        gap.opening !== Infinity &&
        rightSides(before, gap, context.item) === 2
    );
    if (open.length < 2) return [];
    return [found('opening/twofold', step.id, {})];
  });
}
