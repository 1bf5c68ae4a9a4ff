export type { BatchWorker, WeekAnswer } from './batch.worker';

/** A worker that plans orders. */
export function batchWorker(): Worker {
  return new Worker(new URL('./batch.worker.ts', import.meta.url), { type: 'module' });
}
