import type { ChartReading, Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import { wrap, type Remote } from 'comlink';
import type { Face } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import type { Papers } from '$lib/core/making/interpret';
import type { Interpreted, ReadingWorker } from './reading.worker';

/** Reads papers in a worker of its own, again and again while the maker says more about them. */
export class PaperReader {
  #worker: Worker | undefined;
  #remote: Remote<ReadingWorker> | undefined;
  #asked = 0;
  #interpreting = 0;

  /**
   * Reads a paper as it now is.
   *
   * @param source pasted text, or a paper with places
   * @returns undefined where it was asked again meanwhile, or the worker broke off
   */
  async read(source: string | Paper, said: Said): Promise<ChartReading | undefined> {
    const own = ++this.#asked;
    const remote = this.#open();
    const broke = new Promise<undefined>((done) =>
      this.#worker?.addEventListener('error', () => done(undefined), { once: true })
    );
    const reading = await Promise.race([remote.read(source, said).catch(() => undefined), broke]);
    return own === this.#asked ? reading : undefined;
  }

  /**
   * Makes an item of an instruction sheet, judged in the simulated hoop.
   *
   * @param answers which side the maker says is up, by action
   * @returns undefined where it was asked again meanwhile, or the worker broke off
   */
  async interpret(
    papers: Papers,
    shop: Shop,
    answers: ReadonlyMap<number, Face>
  ): Promise<Interpreted | undefined> {
    const own = ++this.#interpreting;
    const made = await this.#open()
      .interpret(papers, shop, answers)
      .catch(() => undefined);
    return own === this.#interpreting ? made : undefined;
  }

  #open(): Remote<ReadingWorker> {
    this.#worker ??= new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
    this.#remote ??= wrap<ReadingWorker>(this.#worker);
    return this.#remote;
  }

  /** Ends the worker; reading again begins another. */
  close(): void {
    this.#worker?.terminate();
    this.#worker = undefined;
    this.#remote = undefined;
  }
}
