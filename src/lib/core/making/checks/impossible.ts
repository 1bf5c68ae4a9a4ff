import { stepDoes } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { editStep } from '$lib/core/documents/item';
import type { Check, Finding } from './finding';

/** Steps the hoop cannot follow: a flip with no seam, a cut in a piece that is gone, a stop with the hoop off. */
export const impossible: Check = ({ item, trace }) =>
  trace.flatMap(({ stepId, problem, changed }, at): Finding | Finding[] => {
    const step = item.steps[at];
    // Turning through too small an opening, or a closed zip, is found by a check of its own.
    const turned = stepDoes(step, 'turn') !== null && changed.length > 0;
    if (problem === null || turned) return [];
    const finding = found('impossible/step', stepId, { problem });
    if (step?.kind !== 'hand' || step.op.do !== 'cut-away-behind' || !/ from the /.test(problem))
      return finding;
    const { op } = step;
    const from = op.from === 'back' ? 'front' : 'back';
    return {
      ...finding,
      fix: {
        label: `Cut it from the ${from}`,
        apply: (before) => editStep(before, stepId, { op: { ...op, from } })
      }
    };
  });
