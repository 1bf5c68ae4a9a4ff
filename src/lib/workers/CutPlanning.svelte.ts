import { type MaterialPlan, planCuts, type PlanCutsInput } from '$lib/core/preparing/cutting';
import { planCutsInWorker, type CutSearch } from './planCuts';

/** A plan that follows its source: a quick one at once, the best a worker finds soon after. */
export class CutPlanning {
  plans = $state.raw<MaterialPlan[]>([]);
  searching = $state(false);
  #search: CutSearch | undefined;
  #key = '';

  /** Plans anew when what the plan is made from has changed. */
  follow(input: PlanCutsInput): void {
    const key = JSON.stringify(input);
    if (key === this.#key) return;
    this.#key = key;
    this.stop();
    this.plans = planCuts(input, { rounds: 1 });
    if (this.plans.length === 0) return;
    this.searching = true;
    const search = planCutsInWorker(input, (better) => {
      if (this.#search === search)
        this.plans = this.plans.map((each) => (each.id === better.id ? better : each));
    });
    this.#search = search;
    void search.found.then((plans) => {
      if (this.#search !== search) return;
      this.searching = false;
      if (plans) this.plans = plans;
    });
  }

  /** Ends the search; the best so far stays. */
  stop(): void {
    this.#search?.stop();
    this.#search = undefined;
    this.searching = false;
  }
}
