import type { PlanStep } from '$lib/core/documents/plan';

/** Seconds a step takes, whichever its kind. */
export function stepTime(step: PlanStep): number {
  return step.hands.value + step.running.value + step.waiting.value;
}

/**
 * The steps at which a caution is said: the first of each danger.
 *
 * @example
 * cautionsSaid(stepsWithTwoHotIrons) // the id of the first one alone
 */
export function cautionsSaid(steps: readonly Pick<PlanStep, 'id' | 'caution'>[]): ReadonlySet<string> {
  const before = new Set<string>();
  return new Set(
    steps.flatMap(({ id, caution }) => {
      if (!caution || before.has(caution)) return [];
      before.add(caution);
      return [id];
    })
  );
}

const SEEN = {
  front: 'seen on the front',
  back: 'seen on the back',
  both: 'seen front and back',
  hidden: 'hidden',
  unknown: ''
};

/**
 * The small words beside a stop: what the chart calls it, whether it will be seen, and the charted colour where another thread is used.
 */
export function stopNote(step: PlanStep): string {
  const { stop, thread } = step;
  if (!stop) return '';
  const parts: string[] = stop.called === undefined ? [] : [`“${stop.called}”`];
  if (SEEN[stop.visible] !== '') parts.push(SEEN[stop.visible]);
  if (stop.charted !== '' && thread && stop.charted.toLowerCase() !== thread.name.toLowerCase()) {
    parts.push(`charted ${stop.charted}, use ${thread.name.toLowerCase()}`);
  }
  if (stop.countSource === 'estimate') parts.push('count estimated');
  if (stop.countSource === 'geometry') parts.push('count measured');
  return parts.join(' · ');
}
