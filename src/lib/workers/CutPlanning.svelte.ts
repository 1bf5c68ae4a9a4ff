import { whyNot } from '$lib/core/base/problems';
import { type MaterialPlan, planCuts, type PlanCutsInput } from '$lib/core/preparing/cutting';
import { proxy, wrap } from 'comlink';
import { cuttingWorker, type CuttingWorker } from './cuttingWorker';
import { type Course, Following } from './Following.svelte';

/** A cutting plan: a quick one at once, the best a worker finds soon after. */
export class CutPlanning extends Following<PlanCutsInput> {
  plans = $state.raw<MaterialPlan[]>([]);

  protected begin(input: PlanCutsInput, { wanted, end }: Course): () => void {
    this.plans = planCuts(input, { rounds: 1 });
    if (this.plans.length === 0) {
      end();
      return () => undefined;
    }
    const worker = cuttingWorker();
    const better = (plan: MaterialPlan): void => {
      if (wanted()) this.plans = this.plans.map((each) => (each.id === plan.id ? plan : each));
    };
    worker.addEventListener('error', ({ message }) => end(whyNot(message)));
    wrap<CuttingWorker>(worker)
      .plan(input, proxy(better))
      .then(
        (plans) => {
          if (wanted()) this.plans = plans;
          end();
        },
        (problem: unknown) => end(whyNot(problem))
      );
    return () => worker.terminate();
  }
}
