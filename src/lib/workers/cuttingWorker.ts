export type { CuttingWorker } from './cutting.worker';

/** A worker that plans cuts. */
export function cuttingWorker(): Worker {
  return new Worker(new URL('./cutting.worker.ts', import.meta.url), { type: 'module' });
}
