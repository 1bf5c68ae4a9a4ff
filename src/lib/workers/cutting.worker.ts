import { planCuts, type MaterialPlan, type PlanCutsInput } from '$lib/core/cutplan';
import { expose } from 'comlink';

const worker = {
  plan: (input: PlanCutsInput, onBetter: (plan: MaterialPlan) => void): MaterialPlan[] =>
    planCuts(input, { onBetter })
};
export type CuttingWorker = typeof worker;

expose(worker);
