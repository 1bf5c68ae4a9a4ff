import { type MaterialPlan, planCuts, type PlanCutsInput } from '$lib/core/preparing/cutting';
import { expose } from 'comlink';

const worker = {
  plan: (input: PlanCutsInput, onBetter: (plan: MaterialPlan) => void): MaterialPlan[] =>
    planCuts(input, { onBetter })
};
export type CuttingWorker = typeof worker;

expose(worker);
