import { type Check, type Finding, leavingAfter, runsOf } from './finding';

/** Underlay that no lace follows. */
export const underlay: Check = (context) => {
  const runs = runsOf(context);
  return runs.flatMap(({ role, at, stepId, called }): Finding[] => {
    if (role !== 'lace-underlay' || runs.some((run) => run.at > at && run.role === 'lace')) return [];
    return [
      {
        checkId: 'underlay',
        severity: 'warn',
        stepId: leavingAfter(context.item, at) ?? stepId,
        text: `${called} is the underlay of a lace that never comes.`,
        advice: 'Underlay alone falls apart in the water: add the lace stop after it.'
      }
    ];
  });
};
