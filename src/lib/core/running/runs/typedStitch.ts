import type { Plan } from '$lib/core/documents/plan';
import type { Machine } from '$lib/core/documents/shop';

/** A stitch number as it was read, within its stop; or why it cannot be one. */
export type TypedStitch = { stitch: number | null; problem: null } | { stitch: null; problem: string };

/** Digits with the marks people put between thousands. */
const NUMBER = /^\d{1,3}([.,’'\u00a0\u202f ]\d{3})+$|^\d{1,7}$/;

/**
 * Reads the stitch number a machine shows, with marks between thousands or without. A machine that counts over the whole
 * design shows the stops before it too; what comes out is counted within the stop.
 *
 * @param at index of the step of the stop
 *
 * @example
 * readStitch('1,200', plan, face, { counts: 'stop' }) // { stitch: 1200, problem: null }
 * readStitch('1,600', plan, face, { counts: 'stop' }).problem // 'Stop 3 has 1,500 stitches.'
 */
export function readStitch(
  typed: string,
  plan: Pick<Plan, 'steps'>,
  at: number,
  machine: Pick<Machine, 'counts'> | undefined
): TypedStitch {
  const text = typed.trim();
  if (text === '') return { stitch: null, problem: null };
  if (!NUMBER.test(text)) return { stitch: null, problem: 'A stitch number is a whole number.' };
  const shown = Number(text.replace(/\D/g, ''));
  const stop = plan.steps[at]?.stop;
  const before = machine?.counts === 'design' ? stitchesBefore(plan, at) : 0;
  const stitch = shown - before;
  const number = stop?.machineNumber ?? '?';
  if (stitch < 0)
    return {
      stitch: null,
      problem: `Stop ${number} begins at stitch ${before.toLocaleString('en')} of the design.`
    };
  if (stop && stop.stitches > 0 && stitch > stop.stitches)
    return {
      stitch: null,
      problem:
        before > 0
          ? `Stop ${number} ends at stitch ${(before + stop.stitches).toLocaleString('en')} of the design.`
          : `Stop ${number} has ${stop.stitches.toLocaleString('en')} stitches.`
    };
  return { stitch, problem: null };
}

/** Stitches of the design before a step, what runs again left out. */
export function stitchesBefore({ steps }: Pick<Plan, 'steps'>, at: number): number {
  return steps.slice(0, at).reduce((sum, { stop }) => sum + (stop && stop.pass === 1 ? stop.stitches : 0), 0);
}
