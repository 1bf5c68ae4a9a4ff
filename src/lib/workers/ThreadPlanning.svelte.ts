import type { ThreadPlan, ThreadPlanInput } from '$lib/core/preparing/threads';
import { whyNot } from '$lib/core/base/problems';
import { wrap } from 'comlink';
import { type Course, Following } from './Following.svelte';
import { threadsWorker, type ThreadsWorker } from './threadsWorker';

/** A thread plan made by a worker. */
export class ThreadPlanning extends Following<ThreadPlanInput> {
  made = $state.raw<ThreadPlan | null>(null);

  protected begin(input: ThreadPlanInput, { wanted, end }: Course): () => void {
    const worker = threadsWorker();
    worker.addEventListener('error', ({ message }) => end(whyNot(message)));
    wrap<ThreadsWorker>(worker)
      .plan(input)
      .then(
        (made) => {
          if (wanted()) this.made = made;
          end();
        },
        (problem: unknown) => end(whyNot(problem))
      );
    return () => worker.terminate();
  }
}
