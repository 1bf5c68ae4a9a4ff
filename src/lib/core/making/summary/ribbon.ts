import type { Mark, PlanStep } from '$lib/core/documents/plan';

/** A step as the ribbon draws it: needle above the line, hands below, waiting torn off. */
export interface RibbonStep {
  id: string;
  kind: 'needle' | 'hands' | 'waiting';
  seconds: number;
  /** Number on a stop; `?` for one the file does not have. */
  label: string;
  colour: string | null;
  protected: boolean;
  mark: Mark | null;
  words: string;
}

/** A plan’s steps for the ribbon. */
export function ribbonSteps(steps: readonly PlanStep[]): RibbonStep[] {
  return steps.map((step) => ribbonStep(step, step.hands.value + step.running.value + step.waiting.value));
}

/** A step for the ribbon, as long as it took or takes, s. */
export function ribbonStep(step: PlanStep, seconds: number): RibbonStep {
  const kind = step.kind === 'stop' ? 'needle' : step.waiting.value > 0 ? 'waiting' : 'hands';
  return {
    id: step.id,
    kind,
    seconds,
    label: step.stop ? String(step.stop.machineNumber ?? '?') : '',
    colour: step.kind === 'stop' ? (step.thread?.colour ?? null) : null,
    protected: step.stop?.protected ?? false,
    mark: step.mark,
    words: step.stop ? `stop ${step.stop.machineNumber ?? 'without a number'}, ${step.title}` : step.title
  };
}
