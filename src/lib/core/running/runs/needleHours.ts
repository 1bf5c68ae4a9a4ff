import type { Run } from '$lib/core/documents/run';
import { compareRun } from './compare';

/** Hours a needle has stitched since it was put in. */
export interface NeedleHours {
  needle: number;
  hours: number;
  /** When it was put in, as far as anybody has said; null where it counts from the first run. */
  since: string | null;
}

/**
 * Hours on each needle of a machine, from what its runs really took: since the needle was put in by the shop’s word, or
 * by a step of a run that changed it.
 *
 * @param runs in any order
 * @param fitted when a needle was put in, by its number
 */
export function needleHours(
  runs: readonly Run[],
  machine: { id: string; needles: number; needleFitted?: Record<string, string> | undefined }
): NeedleHours[] {
  const own = runs
    .filter(({ plan }) => plan.machine.id === machine.id)
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  return Array.from({ length: machine.needles }, (_, index) => {
    const needle = index + 1;
    const since = machine.needleFitted?.[String(needle)] ?? null;
    let seconds = 0;
    for (const run of own) {
      if (since !== null && run.startedAt < since) continue;
      for (const { step, actual } of compareRun(run.plan, run.events).steps) {
        if (actual === null) continue;
        if (step.op?.do === 'needle') seconds = 0;
        else if (step.stop && (step.needle ?? 1) === needle) seconds += actual;
      }
    }
    return { needle, hours: seconds / 3600, since };
  });
}
