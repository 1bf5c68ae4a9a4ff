import type { ChartReading, Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import { wrap, type Remote } from 'comlink';
import type { ReadingWorker } from './reading.worker';

/** Reads papers in a worker of its own, again and again while the maker says more about them. */
export class PaperReader {
  #worker: Worker | undefined;
  #remote: Remote<ReadingWorker> | undefined;
  #asked = 0;

  /**
   * Reads a paper as it now is.
   *
   * @param source pasted text, or a paper with places
   * @returns undefined where it was asked again meanwhile, or the worker broke off
   */
  async read(source: string | Paper, said: Said): Promise<ChartReading | undefined> {
    const own = ++this.#asked;
    this.#worker ??= new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
    this.#remote ??= wrap<ReadingWorker>(this.#worker);
    const broke = new Promise<undefined>((done) =>
      this.#worker?.addEventListener('error', () => done(undefined), { once: true })
    );
    const reading = await Promise.race([this.#remote.read(source, said).catch(() => undefined), broke]);
    return own === this.#asked ? reading : undefined;
  }

  /** Ends the worker; reading again begins another. */
  close(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
  }
}
