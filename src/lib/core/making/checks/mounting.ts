import { extentsOfAll } from '$lib/core/base/geometry';
import { found } from '$lib/core/craft/findings';
import { hoopsMovedTo, positionsOf } from '$lib/core/documents/shop';
import { type Check, type Finding, runsOf } from './finding';

/** A hoop that is moved on its mount: it has those positions, and its ring holds what is stitched at all of them. */
export const mounting: Check = (context) => {
  const { item, plan, hoops } = context;
  const needed = positionsOf(item.steps);
  const moved = item.steps.find((step) => step.kind === 'hand' && step.op.do === 'mount');
  if (!moved) return [];
  const { id, name, ring } = plan.hoop;
  const has = hoops.find((hoop) => hoop.id === id)?.positions;
  const box = extentsOfAll(runsOf(context).flatMap(({ paths }) => paths));
  const [other] = hoopsMovedTo(hoops, item.steps, box).filter(({ positions = 1 }) => positions >= needed);
  // Where nobody has said how hoops are mounted, nobody knows better.
  const few: Finding[] =
    (has ?? (other ? 1 : needed)) < needed
      ? [
          {
            ...found('mounting/too-few', moved.id, { hoop: name, has: has ?? 1, needed }),
            ...(other && {
              fix: {
                label: `Take ${other.name}`,
                apply: (before) => before,
                setup: { hoopId: other.id, turned: false }
              }
            })
          }
        ]
      : [];
  if (!box || (box.width <= ring.width && box.height <= ring.height)) return few;
  const { width, height } = box;
  return [...few, found('mounting/ring', moved.id, { hoop: name, width, height, unit: plan.unit })];
};
