import type { BatchInput, BatchPlan } from '$lib/core/ordering/day';
import { proxy, wrap } from 'comlink';
import { batchWorker, type BatchWorker } from './batchWorker';

/** A plan of an order that follows its source: the best so far at once, stoppable, the last one stays until then. */
export class BatchPlanning {
  plan = $state.raw<BatchPlan | null>(null);
  working = $state(false);
  failed = $state(false);
  #worker: Worker | undefined;
  #key = '';

  /** Plans anew when what the plan is made from has changed. */
  follow(input: BatchInput): void {
    const key = JSON.stringify({ ...input, order: { ...input.order, updatedAt: '', rates: null } });
    if (key === this.#key) return;
    this.#key = key;
    this.stop();
    this.working = true;
    this.failed = false;
    const worker = batchWorker();
    this.#worker = worker;
    const better = (plan: BatchPlan): void => {
      if (this.#worker === worker) this.plan = plan;
    };
    const end = (plan: BatchPlan | null): void => {
      if (this.#worker !== worker) return;
      if (plan) this.plan = plan;
      else this.failed = true;
      this.stop();
    };
    worker.addEventListener('error', () => end(null));
    wrap<BatchWorker>(worker)
      .plan(input, proxy(better))
      .then(end, () => end(null));
  }

  /** Ends the search; the best so far stays. */
  stop(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.working = false;
  }
}
