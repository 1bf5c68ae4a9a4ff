import type { Run } from '$lib/core/documents/run';

/** Faults that runs logged, and the stitches they logged them in. */
export interface LoggedFaults {
  faults: number;
  stitches: number;
}

/**
 * What the runs that are over logged of faults.
 *
 * @example
 * loggedFaults([]) // { faults: 0, stitches: 0 }
 */
export function loggedFaults(runs: readonly Pick<Run, 'plan' | 'events' | 'finishedAt'>[]): LoggedFaults {
  const found = { faults: 0, stitches: 0 };
  for (const { plan, events, finishedAt } of runs) {
    if (finishedAt === null) continue;
    for (const { stop } of plan.steps) found.stitches += stop?.stitches ?? 0;
    found.faults += events.filter(({ type }) => type === 'fault').length;
  }
  return found;
}
