import type { ChartReading, Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import { wrap, type Remote } from 'comlink';
import type { Face } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import type { Papers } from '$lib/core/making/interpret';
import type { Interpreted, ReadingWorker } from './reading.worker';

/** A worker, and when it broke off. */
interface Opened {
  worker: Worker;
  remote: Remote<ReadingWorker>;
  broke: Promise<void>;
}

function opened(): Opened {
  const worker = new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' });
  const broke = new Promise<void>((done) => worker.addEventListener('error', () => done(), { once: true }));
  return { worker, remote: wrap<ReadingWorker>(worker), broke };
}

/** Reads papers in a worker of its own, again and again while the maker says more about them. */
export class PaperReader {
  #open: Opened | undefined;
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
    const reading = await this.#ask((worker) => worker.read(source, said));
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
    const made = await this.#ask((worker) => worker.interpret(papers, shop, answers));
    return own === this.#interpreting ? made : undefined;
  }

  /** Asks the worker; one that has broken off is ended, and the next question begins another. */
  async #ask<T>(question: (worker: Remote<ReadingWorker>) => Promise<T>): Promise<T | undefined> {
    const { remote, broke } = (this.#open ??= opened());
    return Promise.race([question(remote).catch(() => undefined), broke.then(() => this.close())]).then(
      (answer) => answer ?? undefined
    );
  }

  /** Ends the worker; reading again begins another. */
  close(): void {
    this.#open?.worker.terminate();
    this.#open = undefined;
  }
}
