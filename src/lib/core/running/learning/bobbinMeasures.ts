import { does } from '$lib/core/craft/operations';
import type { Run } from '$lib/core/documents/run';

/** Shortest stretch that tells anything, m. */
const LEAST_METRES = 3;

/**
 * What the run-outs of a run measure: thread on a full bobbin divided by the thread estimated until it ran out. Only a
 * bobbin counts that went on full in this run, and whose end was logged with its stop; a stop without its stitch
 * number is taken as half done.
 *
 * @returns one ratio a run-out, for `bobbinUse`
 *
 * @example
 * bobbinMeasures(run) // [1.08]: 40 m were on it, 37 m estimated
 */
export function bobbinMeasures({ plan, events }: Pick<Run, 'plan' | 'events'>): number[] {
  const measures: number[] = [];
  const stepOf = new Map(plan.steps.map((step) => [step.id, step]));
  /** Metres since a full bobbin went on; null while nobody knows what is in the machine. */
  let used: number | null = null;
  let inStop = 0;
  for (const [at, event] of events.entries()) {
    const { type, stepId, fault } = event;
    const step = stepId === null ? undefined : stepOf.get(stepId);
    const metres = step?.stop?.bobbinMetres ?? 0;
    if (type === 'done' && does(step?.op, 'wind') !== null) used = 0;
    else if (type === 'done' && step?.stop) {
      if (used !== null) used += Math.max(0, metres - inStop);
      inStop = 0;
    } else if (type === 'again' || type === 'back') {
      // Stitching something twice takes thread that was not counted.
      used = null;
      inStop = 0;
    } else if ((type === 'bobbin-out' || fault === 'bobbin-out') && step?.stop) {
      // The number is mostly told once the new bobbin is in.
      const sorted = events.slice(at + 1).find((later) => later.type === 'sorted' || later.type === 'fault');
      const stitch = event.stitch ?? (sorted?.type === 'sorted' ? sorted.stitch : null);
      const share = stitch === null ? 0.5 : Math.min(1, stitch / Math.max(1, step.stop.stitches));
      const until = (used ?? 0) + share * metres - inStop;
      if (used !== null && until >= LEAST_METRES) measures.push(plan.bobbin.metres / until);
      used = 0;
      inStop = share * metres;
    }
  }
  return measures;
}
