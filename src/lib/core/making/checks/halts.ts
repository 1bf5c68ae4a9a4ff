import { found } from '$lib/core/craft/findings';
import { editStop, findStop } from '$lib/core/documents/item';
import type { Check, Finding } from './finding';

/** On a machine that changes colour by itself: stops that run straight on although hands follow. */
export const halts: Check = ({ item, plan }) => {
  if (plan.machine.needles === 1) return [];
  return item.steps.flatMap((step, at): Finding[] => {
    const stop = step.kind === 'stop' ? findStop(item, step.stopId) : undefined;
    if (!stop || stop.halts || stop.number === null || item.steps[at + 1]?.kind !== 'hand') return [];
    return [
      {
        ...found('halts/runs-on', step.id, { stop: stop.number, machine: plan.machine.name }),
        fix: { label: 'It halts', apply: (before) => editStop(before, stop.id, { halts: true }) }
      }
    ];
  });
};
