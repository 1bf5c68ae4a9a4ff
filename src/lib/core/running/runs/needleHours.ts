import { does } from '$lib/core/craft/operations';
import type { Run } from '$lib/core/documents/run';
import { compareRun } from './compare';

/** Hours a needle has stitched since it was put in. */
export interface NeedleHours {
  needle: number;
  hours: number;
  /** When it was put in, as far as anybody has said; null where it counts from the first run. */
  since: string | null;
}

/** What a run did to the needles of its machine, in the order it happened. */
export interface NeedleTimes {
  machineId: string;
  startedAt: string;
  /** Seconds a needle stitched; or new needles, which begin anew. */
  times: ({ needle: number; seconds: number } | 'changed')[];
}

/** What a run did to the needles of its machine, from the times it really took. */
export function needleTimes(run: Pick<Run, 'plan' | 'events' | 'startedAt'>): NeedleTimes {
  const times = compareRun(run.plan, run.events).steps.flatMap(({ step, actual }): NeedleTimes['times'] => {
    if (actual === null) return [];
    if (does(step.op, 'needle') !== null) return ['changed'];
    return step.stop ? [{ needle: step.needle ?? 1, seconds: actual }] : [];
  });
  return { machineId: run.plan.machine.id, startedAt: run.startedAt, times };
}

/**
 * Hours on each needle of a machine, from what its runs really took: since the needle was put in by the shop’s word, or
 * by a step of a run that changed it.
 *
 * @param runs what runs did to needles, in any order
 * @param fitted when a needle was put in, by its number
 */
export function needleHours(
  runs: readonly NeedleTimes[],
  machine: { id: string; needles: number; needleFitted?: Record<string, string> | undefined }
): NeedleHours[] {
  const own = runs
    .filter(({ machineId }) => machineId === machine.id)
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  return Array.from({ length: machine.needles }, (_, index) => {
    const needle = index + 1;
    const since = machine.needleFitted?.[String(needle)] ?? null;
    let seconds = 0;
    for (const { startedAt, times } of own) {
      if (since !== null && startedAt < since) continue;
      for (const time of times) {
        if (time === 'changed') seconds = 0;
        else if (time.needle === needle) seconds += time.seconds;
      }
    }
    return { needle, hours: seconds / 3600, since };
  });
}
