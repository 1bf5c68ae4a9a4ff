import { type BatchInput, type BatchPlan, planBatch } from '$lib/core/ordering/day';
import { expose } from 'comlink';

const worker = {
  plan: (input: BatchInput, onBetter: (plan: BatchPlan) => void): BatchPlan => planBatch(input, { onBetter })
};
export type BatchWorker = typeof worker;

expose(worker);
