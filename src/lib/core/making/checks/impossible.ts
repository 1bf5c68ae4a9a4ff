import { found } from '$lib/core/craft/findings';
import type { Check } from './finding';

/** Steps the hoop cannot follow: a flip with no seam, a cut in a piece that is gone, a stop with the hoop off. */
export const impossible: Check = ({ item, trace }) =>
  trace.flatMap(({ stepId, problem, changed }, at) => {
    const step = item.steps[at];
    // Turning through too small an opening, or a closed zip, is found by a check of its own.
    const turned = step?.kind === 'hand' && step.op.do === 'turn-through' && changed.length > 0;
    return problem === null || turned ? [] : found('impossible/step', stepId, { problem });
  });
