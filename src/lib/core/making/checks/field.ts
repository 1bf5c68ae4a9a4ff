import { found } from '$lib/core/craft/findings';
import { extents } from '$lib/core/base/geometry';
import { type Check, type Finding, runsOf } from './finding';

/** Stops that reach outside the stitch field of the hoop. */
export const field: Check = (context) => {
  const { item, plan } = context;
  const [halfW, halfH] = [plan.hoop.field.width / 2, plan.hoop.field.height / 2];
  // A hoop that is moved on its mount brings other parts of itself into the field.
  const moves = item.steps.some((step) => step.kind === 'hand' && step.op.do === 'mount');
  return runsOf(context).flatMap(({ stepId, called, paths, width }): Finding[] => {
    const out = paths.some((path) => {
      const { minX, maxX, minY, maxY, width: wide, height } = extents(path);
      const edge = width / 2;
      return moves
        ? wide + width > plan.hoop.field.width || height + width > plan.hoop.field.height
        : minX - edge < -halfW - 0.01 ||
            maxX + edge > halfW + 0.01 ||
            minY - edge < -halfH - 0.01 ||
            maxY + edge > halfH + 0.01;
    });
    if (!out) return [];
    return [
      found('field/outside', stepId, { called, hoop: plan.hoop.name, ...plan.hoop.field, unit: plan.unit })
    ];
  });
};
