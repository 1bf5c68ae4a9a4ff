import { found } from '$lib/core/craft/findings';
import { type Check, type Finding, leavingAfter, runsOf } from './finding';

/** Underlay that no lace follows. */
export const underlay: Check = (context) => {
  const runs = runsOf(context);
  return runs.flatMap(({ role, at, stepId, called }): Finding[] => {
    if (role !== 'lace-underlay' || runs.some((run) => run.at > at && run.role === 'lace')) return [];
    return [found('underlay/alone', leavingAfter(context.item, at) ?? stepId, { called })];
  });
};
