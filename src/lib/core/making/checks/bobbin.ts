import { does } from '$lib/core/craft/operations';
import { found } from '$lib/core/craft/findings';
import { addHandStep } from '$lib/core/documents/item';
import type { Check, Finding } from './finding';

/** Protected stops in which the bobbin would run out. */
export const bobbin: Check = ({ item, plan }) => {
  const full = plan.bobbin.metres;
  // What is in the machine now is what the first stops have.
  let used = plan.bobbinOn ? Math.max(0, full - plan.bobbinOn.metres) : 0;
  return plan.steps.flatMap(({ op, stop, itemStepId }, at): Finding[] => {
    if (does(op, 'wind') !== null) used = 0;
    if (!stop || itemStepId === null) return [];
    const needs = stop.bobbinMetres;
    const short = stop.protected && used + needs > full;
    const began = used;
    used = (used + needs) % full;
    if (!short) return [];
    if (needs > full)
      return [
        found('bobbin/too-long', itemStepId, {
          stop: stop.machineNumber,
          needsM: Math.ceil(needs),
          unit: plan.unit
        })
      ];
    if (began === 0) return [];
    const before = plan.steps.slice(0, at).findLast((step) => step.itemStepId !== null)?.itemStepId ?? null;
    return [
      {
        ...found('bobbin/runs-out', itemStepId, {
          stop: stop.machineNumber,
          usedM: Math.ceil(began),
          needsM: Math.ceil(needs),
          unit: plan.unit
        }),
        fix: {
          label: 'Full bobbin before it',
          apply: (old) =>
            item.steps.length > 0
              ? addHandStep(old, before, `bobbin-before-${itemStepId}`, { do: 'bobbin' })
              : old
        }
      }
    ];
  });
};
