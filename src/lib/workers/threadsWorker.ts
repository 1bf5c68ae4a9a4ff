export type { ThreadsWorker } from './threads.worker';

/** A worker that plans threads. */
export function threadsWorker(): Worker {
  return new Worker(new URL('./threads.worker.ts', import.meta.url), { type: 'module' });
}
