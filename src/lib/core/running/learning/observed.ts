import type { Run } from '$lib/core/documents/run';
import type { Learned, Shop } from '$lib/core/documents/shop';
import { canBe, foldRun } from '$lib/core/running/runs';
import { type HandSeen, learn, type NeedleSeen } from './learn';

/**
 * What logged runs show of hands and machines: every step that was done once, with its time. What a run was paused for, and
 * what its faults took, is in none of them.
 *
 * @param hands hand times as they stand in the shop: an older run is measured by today’s
 */
export function observed(
  runs: readonly Run[],
  hands: Shop['hands']
): { hands: HandSeen[]; needles: NeedleSeen[] } {
  const seen: { hands: HandSeen[]; needles: NeedleSeen[] } = { hands: [], needles: [] };
  for (const { id, plan, setup, events, leftOut } of runs) {
    if (leftOut) continue;
    const state = foldRun(plan.steps, events);
    const again = new Set(
      events.flatMap(({ type, stepId }) => (type === 'back' || type === 'again' ? [stepId] : []))
    );
    plan.steps.forEach((step, at) => {
      const seconds = state.seconds[at] ?? 0;
      if (state.done[at] !== true || again.has(step.id)) return;
      if (state.trusted[at] !== true || !canBe(step, seconds)) return;
      if (step.stop) {
        // Whether a bobbin changed in the middle was logged as run out, and so not counted here, nobody knows.
        if (step.parts.some(({ key }) => key === 'bobbin')) return;
        const needle = step.stop.needle ?? { stitching: step.running.value, overhead: 0, trims: 0 };
        seen.needles.push({ run: id, machine: plan.machine.id, ...needle, seconds });
      } else if (step.waiting.value === 0 && step.running.value === 0) {
        const parts = step.parts.map(({ key, times, seconds: then }) => ({
          key,
          seconds: key in hands ? times * hands[key as keyof Shop['hands']] : then
        }));
        seen.hands.push({ run: id, person: setup.person ?? '', parts, seconds });
      }
    });
  }
  return seen;
}

/**
 * What logged runs teach, computed anew whenever it is asked for.
 *
 * @example
 * learnFromRuns([], shop.hands).machines // {}
 */
export function learnFromRuns(runs: readonly Run[], hands: Shop['hands']): Learned {
  const seen = observed(runs, hands);
  return learn(seen.hands, seen.needles);
}
