import type { ChartReading, ReadRow, Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import type { Face } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import type { Papers } from '$lib/core/making/interpret';
import { Bounded, type WorkerResult } from './bounded';
import type { PaperSays } from '$lib/core/reading/matching';
import type { Interpreted, ReadingWorker, ToldLike } from './reading.worker';

/** The most that reading a paper, or making an item of it, may take, s. */
const SECONDS = { read: 20, interpret: 30, fit: 20 };

const reading = (seconds: number): Bounded<ReadingWorker> =>
  new Bounded(() => new Worker(new URL('./reading.worker.ts', import.meta.url), { type: 'module' }), seconds);

/** Reads papers in workers of its own, again and again while the maker says more about them. */
export class PaperReader {
  readonly #reader = reading(SECONDS.read);
  readonly #interpreter = reading(SECONDS.interpret);
  readonly #fitter = reading(SECONDS.fit);
  readonly #teller = reading(SECONDS.fit);
  #asked = 0;
  #interpreting = 0;
  #fitting = 0;
  #telling = 0;

  /**
   * Reads a paper as it now is.
   *
   * @param source pasted text, or a paper with places
   * @returns what was read, or why nothing was; undefined where it was asked again meanwhile
   */
  async read(source: string | Paper, said: Said): Promise<WorkerResult<ChartReading> | undefined> {
    const own = ++this.#asked;
    const wanted = (): boolean => own === this.#asked;
    const read = await this.#reader.ask((worker) => worker.read(source, said), wanted);
    return wanted() ? read : undefined;
  }

  /**
   * Makes an item of an instruction sheet, judged in the simulated hoop.
   *
   * @param answers which side the maker says is up, by action
   * @returns the item, or why there is none; undefined where it was asked again meanwhile
   */
  async interpret(
    papers: Papers,
    shop: Shop,
    answers: ReadonlyMap<number, Face>
  ): Promise<WorkerResult<Interpreted> | undefined> {
    const own = ++this.#interpreting;
    const wanted = (): boolean => own === this.#interpreting;
    const made = await this.#interpreter.ask((worker) => worker.interpret(papers, shop, answers), wanted);
    return wanted() ? made : undefined;
  }

  /**
   * Answers of a construction that the rows of a chart give.
   *
   * @returns those that differ from the usual ones, or why nobody knows; undefined where it was asked again meanwhile
   */
  async answersFor(
    kind: string,
    rows: readonly ReadRow[],
    usual: Readonly<Record<string, unknown>>
  ): Promise<WorkerResult<Record<string, unknown>> | undefined> {
    const own = ++this.#fitting;
    const wanted = (): boolean => own === this.#fitting;
    const made = await this.#fitter.ask((worker) => worker.answersFor(kind, [...rows], { ...usual }), wanted);
    return wanted() ? made : undefined;
  }

  /**
   * What a chart may be of.
   *
   * @returns constructions, the likeliest first, or why nobody knows; undefined where it was asked again meanwhile
   */
  async builtLike(
    rows: readonly ReadRow[],
    says: PaperSays,
    shop: Shop
  ): Promise<WorkerResult<ToldLike[]> | undefined> {
    const own = ++this.#telling;
    const wanted = (): boolean => own === this.#telling;
    const told = await this.#teller.ask((worker) => worker.builtLike([...rows], says, shop), wanted);
    return wanted() ? told : undefined;
  }

  /** Ends the workers. */
  close(): void {
    this.#reader.close();
    this.#interpreter.close();
    this.#fitter.close();
    this.#teller.close();
  }
}
