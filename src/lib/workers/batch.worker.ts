import { planBatch, type BatchInput, type BatchPlan } from '$lib/core/batch';
import { expose } from 'comlink';

const worker = {
  plan: (input: BatchInput, onBetter: (plan: BatchPlan) => void): BatchPlan => planBatch(input, { onBetter })
};
export type BatchWorker = typeof worker;

expose(worker);
