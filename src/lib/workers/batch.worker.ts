import { type BatchInput, type BatchPlan, planBatch } from '$lib/core/ordering/day';
import { type Promised, promiseOf, type Spread } from '$lib/core/ordering/promise';
import type { StashEntry } from '$lib/core/documents/stash';
import {
  planWeek,
  type Raised,
  raisesOf,
  type Reserved,
  reservedByOrder,
  type WeekInput,
  type WeekPlan
} from '$lib/core/ordering/week';
import { expose } from 'comlink';

/** The week with what its orders take of the stash. */
export type WeekAnswer = WeekPlan & { reserved: Reserved[] };

const worker = {
  plan: (input: BatchInput, onBetter: (plan: BatchPlan) => void): BatchPlan => planBatch(input, { onBetter }),
  promise: (input: BatchInput, spread: Spread): Promised => promiseOf(input, spread),
  week: (
    input: WeekInput,
    spread: Spread,
    stash: readonly StashEntry[],
    measured: readonly number[]
  ): WeekAnswer | null => {
    const made = planWeek(input, spread);
    return made && { ...made, reserved: reservedByOrder(input, made.plan, stash, measured) };
  },
  raises: (input: WeekInput, spread: Spread, orderId: string): Raised[] => raisesOf(input, spread, orderId)
};
export type BatchWorker = typeof worker;

expose(worker);
