import type { ThreadPlan, ThreadPlanInput } from '$lib/core/preparing/threads';
import { wrap } from 'comlink';
import { threadsWorker, type ThreadsWorker } from './threadsWorker';

/** A thread plan that follows its source: a worker makes it, the last one stays on the page until then. */
export class ThreadPlanning {
  made = $state.raw<ThreadPlan | null>(null);
  working = $state(false);
  failed = $state(false);
  #worker: Worker | undefined;
  #key = '';

  /** Plans anew when what the plan is made from has changed. */
  follow(input: ThreadPlanInput): void {
    const key = JSON.stringify(input);
    if (key === this.#key) return;
    this.#key = key;
    this.stop();
    this.working = true;
    this.failed = false;
    const worker = threadsWorker();
    this.#worker = worker;
    const end = (made: ThreadPlan | null): void => {
      if (this.#worker !== worker) return;
      if (made) this.made = made;
      else this.failed = true;
      this.stop();
    };
    worker.addEventListener('error', () => end(null));
    wrap<ThreadsWorker>(worker)
      .plan(input)
      .then(end, () => end(null));
  }

  stop(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.working = false;
  }
}
