import { addHandStep } from '$lib/core/documents/item';
import type { Check, Finding } from './finding';

/** Protected stops in which the bobbin would run out. */
export const bobbin: Check = ({ item, plan }) => {
  let used = 0;
  const full = plan.bobbin.metres;
  return plan.steps.flatMap(({ op, stop, itemStepId }, at): Finding[] => {
    if (op?.do === 'bobbin') used = 0;
    if (!stop || itemStepId === null) return [];
    const needs = stop.bobbinMetres;
    const short = stop.protected && used + needs > full;
    const began = used;
    used = (used + needs) % full;
    if (!short) return [];
    if (needs > full)
      return [
        {
          checkId: 'bobbin',
          severity: 'note',
          stepId: itemStepId,
          text: `Stop ${stop.machineNumber ?? '?'} needs ${Math.ceil(needs)} m from the bobbin, more than a full one.`,
          advice: 'Halt where it shows least, and change the bobbin there.'
        }
      ];
    if (began === 0) return [];
    const before = plan.steps.slice(0, at).findLast((step) => step.itemStepId !== null)?.itemStepId ?? null;
    return [
      {
        checkId: 'bobbin',
        severity: 'warn',
        stepId: itemStepId,
        text: `The bobbin can run out inside stop ${stop.machineNumber ?? '?'}: ${Math.ceil(began)} m are used when it begins, and it needs ${Math.ceil(needs)} m.`,
        advice: 'Put in a full bobbin before it.',
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
