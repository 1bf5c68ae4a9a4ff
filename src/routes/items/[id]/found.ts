import type { Plan, PlanWarning } from '$lib/core/documents/plan';
import type { Finding } from '$lib/core/making/checks';

/** The worst that was found at a step. */
export interface Worst {
  severity: 'stop' | 'warn';
  text: string;
}

/** The worst that was found at each step of a plan, by its id; what belongs to no step, and what is only a note, is left out. */
export function worstAt(
  { steps, warnings }: Pick<Plan, 'steps' | 'warnings'>,
  open: readonly Finding[]
): ReadonlyMap<string, Worst> {
  const idOf = new Map(
    steps.flatMap(({ id, itemStepId }) => (itemStepId === null ? [] : [[itemStepId, id]]))
  );
  const worst = new Map<string, Worst>();
  const all: readonly Pick<Finding | PlanWarning, 'severity' | 'stepId' | 'text'>[] = [...open, ...warnings];
  for (const { severity, stepId, text } of all) {
    const id = stepId === null ? undefined : idOf.get(stepId);
    if (id === undefined || severity === 'note') continue;
    if (severity === 'stop' || !worst.has(id)) worst.set(id, { severity, text });
  }
  return worst;
}
