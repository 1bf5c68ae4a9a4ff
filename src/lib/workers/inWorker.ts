import { wrap, type Remote } from 'comlink';
import type { FilesWorker } from './files.worker';

export type WorkerResult<T> = { ok: true; value: T } | { ok: false; late: boolean };

/**
 * Does one piece of work in a worker of its own and ends the worker, at the latest when the time is up.
 *
 * @param seconds the most that is waited
 */
export async function inWorker<T>(
  seconds: number,
  work: (files: Remote<FilesWorker>) => Promise<T>
): Promise<WorkerResult<T>> {
  const worker = new Worker(new URL('./files.worker.ts', import.meta.url), { type: 'module' });
  let timer: ReturnType<typeof setTimeout> | undefined;
  try {
    return await Promise.race([
      work(wrap<FilesWorker>(worker)).then((value) => ({ ok: true as const, value })),
      new Promise<WorkerResult<T>>((done) => {
        timer = setTimeout(() => done({ ok: false, late: true }), seconds * 1000);
        worker.addEventListener('error', () => done({ ok: false, late: false }));
      })
    ]);
  } catch {
    return { ok: false, late: false };
  } finally {
    clearTimeout(timer);
    worker.terminate();
  }
}
