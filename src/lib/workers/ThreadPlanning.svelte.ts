import type { ThreadPlan, ThreadPlanInput } from '$lib/core/preparing/threads';
import { wrap } from 'comlink';
import { type Course, Following } from './Following.svelte';
import { threadsWorker, type ThreadsWorker } from './threadsWorker';

/** A thread plan made by a worker. */
export class ThreadPlanning extends Following<ThreadPlanInput> {
  made = $state.raw<ThreadPlan | null>(null);

  protected begin(input: ThreadPlanInput, { wanted, end }: Course): () => void {
    const worker = threadsWorker();
    worker.addEventListener('error', () => end(false));
    wrap<ThreadsWorker>(worker)
      .plan(input)
      .then(
        (made) => {
          if (wanted()) this.made = made;
          end(true);
        },
        () => end(false)
      );
    return () => worker.terminate();
  }
}
