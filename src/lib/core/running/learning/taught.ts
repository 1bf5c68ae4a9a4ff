import type { Run } from '$lib/core/documents/run';
import { type Shop, workName } from '$lib/core/documents/shop';
import { learnFromRuns } from './observed';

/** An estimate that a run has changed. */
export interface Lesson {
  name: string;
  /** What it was reckoned with before and is now, as a factor of the default. */
  before: number;
  after: number;
}

/** A change smaller than this is not worth a word. */
const WORTH = 0.03;

/**
 * What one run taught: estimates that are others with it than without, the greatest change first.
 *
 * @param runs all that teach, that one among them
 *
 * @example
 * taughtBy(runs, 'run-5', shop.hands)[0] // { name: 'Re-thread a needle', before: 1, after: 1.12 }
 */
export function taughtBy(runs: readonly Run[], runId: string, hands: Shop['hands']): Lesson[] {
  const run = runs.find(({ id }) => id === runId);
  if (!run) return [];
  const person = run.setup.person ?? '';
  const machine = run.plan.machine;
  const others = learnFromRuns(
    runs.filter(({ id }) => id !== runId),
    hands
  );
  const all = learnFromRuns(runs, hands);
  const now = all.people[person];
  const then = others.people[person];
  const lessons = Object.entries(now?.factors ?? {}).flatMap(([key, { mean }]): Lesson[] => {
    const before = then?.factors[key] ?? then?.shared;
    const name = workName(key);
    // The default is a mean: half the noise’s variance lies between it and the middle.
    const bump = (noise: number): number => noise ** 2 / 2;
    return [
      {
        name,
        before: before ? Math.exp(before.mean + bump(then?.noise ?? 0)) : 1,
        after: Math.exp(mean + bump(now?.noise ?? 0))
      }
    ];
  });
  const speed = all.machines[machine.id]?.speed.mean;
  if (speed !== undefined)
    lessons.push({
      name: `Stitching, ${machine.name}`,
      before: Math.exp(others.machines[machine.id]?.speed.mean ?? 0),
      after: Math.exp(speed)
    });
  const change = ({ before, after }: Lesson): number => Math.abs(Math.log(after / before));
  return lessons.filter((lesson) => change(lesson) >= WORTH).sort((a, b) => change(b) - change(a));
}

/**
 * A lesson in words.
 *
 * @example
 * lessonWords({ name: 'Re-thread a needle', before: 1, after: 1.12 }) // 'Re-thread a needle: now planned 12 % longer'
 */
export function lessonWords({ name, before, after }: Lesson): string {
  const percent = Math.round(Math.abs(after / before - 1) * 100);
  return `${name}: now planned ${percent} % ${after > before ? 'longer' : 'shorter'}`;
}
