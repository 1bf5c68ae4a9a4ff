import { type BatchInput, type BatchPlan, planBatch } from '$lib/core/ordering/day';
import { type Promised, promiseOf, type Spread } from '$lib/core/ordering/promise';
import { planWeek, type WeekInput, type WeekPlan } from '$lib/core/ordering/week';
import { expose } from 'comlink';

const worker = {
  plan: (input: BatchInput, onBetter: (plan: BatchPlan) => void): BatchPlan => planBatch(input, { onBetter }),
  promise: (input: BatchInput, spread: Spread): Promised => promiseOf(input, spread),
  week: (input: WeekInput, spread: Spread): WeekPlan | null => planWeek(input, spread)
};
export type BatchWorker = typeof worker;

expose(worker);
