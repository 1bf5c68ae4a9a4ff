import type { Check, Finding } from './finding';

/** Stops that run after the work has left the ring they register in. */
export const registration: Check = ({ item, plan }) => {
  const unhooped = new Set<string>();
  return item.steps.flatMap((step): Finding[] => {
    if (step.kind === 'hand') {
      if (step.op.do === 'unhoop') unhooped.add(step.hoopingId);
      return [];
    }
    if (!unhooped.has(step.hoopingId)) return [];
    const number = plan.steps.find(({ itemStepId }) => itemStepId === step.id)?.stop?.machineNumber;
    if (number === null || number === undefined) return [];
    return [
      {
        checkId: 'registration',
        severity: 'stop',
        stepId: step.id,
        text: `Stop ${number} runs after the work is out of the hoop, so it cannot meet the stops before it.`,
        advice: 'Unhoop only when every stop of this hooping is done.'
      }
    ];
  });
};
