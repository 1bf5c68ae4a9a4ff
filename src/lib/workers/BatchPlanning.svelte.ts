import type { BatchInput, BatchPlan } from '$lib/core/ordering/day';
import { whyNot } from '$lib/core/base/problems';
import { proxy, wrap } from 'comlink';
import { batchWorker, type BatchWorker } from './batchWorker';
import { type Course, Following } from './Following.svelte';

/** A plan of an order: the best so far at once, better ones as a worker finds them. */
export class BatchPlanning extends Following<BatchInput> {
  plan = $state.raw<BatchPlan | null>(null);

  /** Neither the time of an edit nor a rate changes the plan. */
  protected override keyOf(input: BatchInput): string {
    return JSON.stringify({ ...input, order: { ...input.order, updatedAt: '', rates: null } });
  }

  protected begin(input: BatchInput, { wanted, end }: Course): () => void {
    const worker = batchWorker();
    const better = (plan: BatchPlan): void => {
      if (wanted()) this.plan = plan;
    };
    worker.addEventListener('error', ({ message }) => end(whyNot(message)));
    wrap<BatchWorker>(worker)
      .plan(input, proxy(better))
      .then(
        (plan) => {
          better(plan);
          end();
        },
        (problem: unknown) => end(whyNot(problem))
      );
    return () => worker.terminate();
  }
}
