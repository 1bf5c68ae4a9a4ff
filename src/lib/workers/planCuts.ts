import type { MaterialPlan, PlanCutsInput } from '$lib/core/preparing/cutting';
import { proxy, wrap } from 'comlink';
import type { CuttingWorker } from './cutting.worker';

/** A cutting plan that is being looked for. */
export interface CutSearch {
  /** The plan, once nothing better is looked for; undefined when the search was stopped or broke off. */
  found: Promise<MaterialPlan[] | undefined>;
  stop: () => void;
}

/**
 * Looks for a cutting plan in a worker.
 *
 * @param onBetter called with each better plan of a material
 */
export function planCutsInWorker(input: PlanCutsInput, onBetter: (plan: MaterialPlan) => void): CutSearch {
  const worker = new Worker(new URL('./cutting.worker.ts', import.meta.url), { type: 'module' });
  let end: (plans: MaterialPlan[] | undefined) => void = () => undefined;
  const found = new Promise<MaterialPlan[] | undefined>((resolve) => {
    end = (plans) => {
      worker.terminate();
      resolve(plans);
    };
  });
  worker.addEventListener('error', () => end(undefined));
  wrap<CuttingWorker>(worker)
    .plan(input, proxy(onBetter))
    .then(end, () => end(undefined));
  return { found, stop: () => end(undefined) };
}
