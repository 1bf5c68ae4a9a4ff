import { type MaterialPlan, planCuts, type PlanCutsInput } from '$lib/core/preparing/cutting';
import { type Course, Following } from './Following.svelte';
import { planCutsInWorker } from './planCuts';

/** A cutting plan: a quick one at once, the best a worker finds soon after. */
export class CutPlanning extends Following<PlanCutsInput> {
  plans = $state.raw<MaterialPlan[]>([]);

  protected begin(input: PlanCutsInput, { wanted, end }: Course): () => void {
    this.plans = planCuts(input, { rounds: 1 });
    if (this.plans.length === 0) {
      end(true);
      return () => undefined;
    }
    const search = planCutsInWorker(input, (better) => {
      if (wanted()) this.plans = this.plans.map((each) => (each.id === better.id ? better : each));
    });
    void search.found.then((plans) => {
      if (wanted() && plans) this.plans = plans;
      end(plans !== undefined);
    });
    return search.stop;
  }
}
