import type { Remote } from 'comlink';
import { Bounded, type WorkerResult } from './bounded';
import type { FilesWorker } from './files.worker';

/**
 * Does one piece of work in a worker of its own and ends the worker, at the latest when the time is up.
 *
 * @param seconds the most that is waited
 */
export async function inWorker<T>(
  seconds: number,
  work: (files: Remote<FilesWorker>) => Promise<T>
): Promise<WorkerResult<T>> {
  const files = new Bounded<FilesWorker>(
    () => new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' }),
    seconds
  );
  const result = await files.ask(work);
  files.close();
  return result ?? { ok: false, late: false, why: 'It was stopped.' };
}
