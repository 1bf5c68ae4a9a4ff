import { does } from '$lib/core/craft/operations';
import type { Plan, PlanStep } from '$lib/core/documents/plan';
import { workName } from '$lib/core/documents/shop';

/** A kind of work and the time it takes, s. */
export interface Minutes {
  key: string;
  name: string;
  seconds: number;
  steps: number;
}

/**
 * Where the hands’ time goes, by hand time, the most first. What was learned of a step is shared out as its parts stand.
 *
 * @example
 * handMinutes(tabPlan)[0] // { key: 'rethread', name: 'Re-thread a needle', seconds: 280, steps: 4 }
 */
export function handMinutes({ steps }: Pick<Plan, 'steps'>): Minutes[] {
  const found = new Map<string, Minutes>();
  for (const { hands, parts } of steps) {
    const base = parts.reduce((sum, { seconds }) => sum + seconds, 0);
    for (const { key, seconds } of parts) {
      const share = base > 0 ? (hands.value * seconds) / base : 0;
      const sofar = found.get(key) ?? { key, name: workName(key), seconds: 0, steps: 0 };
      found.set(key, { ...sofar, seconds: sofar.seconds + share, steps: sofar.steps + 1 });
    }
  }
  return [...found.values()].filter(({ seconds }) => seconds > 0).sort((a, b) => b.seconds - a.seconds);
}

const HOOPING: readonly string[] = ['hoop', 'unhoop'];

/** Something that would shorten the work. */
export interface Saving {
  id: 'order' | 'hoop' | 'meanwhile';
  words: string;
  seconds: number;
  /** Which time gets shorter: hands are spared, or the work is done while the needle runs. */
  kind: 'hands' | 'start to finish';
}

/**
 * What would shorten the making of several copies, and by how much for each: a spare hoop loaded while the needle runs, and
 * finishing one copy while the next is stitched; another order of stops is passed in where it is known.
 *
 * @param order hands spared by the better order of stops, s; 0 where there is none
 *
 * @example
 * savings(tabPlan, 70).map(({ id }) => id) // ['order', 'hoop', 'meanwhile']
 */
export function savings(plan: Plan, order: number): Saving[] {
  const { steps, totals } = plan;
  const needle = totals.needle.value;
  const sumOf = (ops: readonly string[]): number =>
    steps.reduce((sum, { op, hands }) => sum + (op && ops.includes(op.do) ? hands.value : 0), 0);
  const hooping = Math.min(sumOf(HOOPING), needle);
  const table = Math.min(afterUnhooping(steps), Math.max(0, needle - hooping));
  const found: Saving[] = [
    {
      id: 'order',
      words: 'Stitch the stops in the order the thread page offers',
      seconds: order,
      kind: 'hands'
    },
    {
      id: 'hoop',
      words: `Hoop the next copy in a spare ${plan.hoop.name.toLowerCase()} while this one stitches`,
      seconds: hooping,
      kind: 'start to finish'
    },
    {
      id: 'meanwhile',
      words: 'Trim and finish one copy while the needle runs on the next',
      seconds: table,
      kind: 'start to finish'
    }
  ];
  return found.filter(({ seconds }) => seconds >= 1).sort((a, b) => b.seconds - a.seconds);
}

/** Hands after the work has left the ring for the last time, s. */
function afterUnhooping(steps: readonly PlanStep[]): number {
  const last = steps.findLastIndex(({ op }) => does(op, 'unclamp') !== null);
  return last < 0 ? 0 : steps.slice(last + 1).reduce((sum, { hands }) => sum + hands.value, 0);
}
