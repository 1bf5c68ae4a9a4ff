import { whyNot } from '$lib/core/base/problems';
import { wrap, type Remote } from 'comlink';

/** What a worker came to; where it came to nothing, whether its time was up, and why. */
export type WorkerResult<T> = { ok: true; value: T } | { ok: false; late: boolean; why: string };

/** The words for work that did not end within its time. */
export function tooLong(seconds: number): string {
  return `It was given up after ${seconds} s, the most that is waited.`;
}

/**
 * A worker whose questions have a time budget that is kept from outside: what does not end is ended with its worker, and the
 * next question begins another. Questions are asked one after another.
 */
export class Bounded<W> {
  readonly #open: () => Worker;
  readonly #seconds: number;
  /** One remote for as long as its worker lives: the library ends a worker whose last remote is forgotten. */
  #lives: { worker: Worker; remote: Remote<W> } | undefined;
  #last: Promise<unknown> = Promise.resolve();
  #giveUp: (() => void) | undefined;
  #closed = false;

  /** @param seconds the most that one question may take */
  constructor(open: () => Worker, seconds: number) {
    this.#open = open;
    this.#seconds = seconds;
  }

  /**
   * Asks once the questions before are answered.
   *
   * @param wanted whether the answer is still wanted when its turn comes
   * @returns undefined where it was not wanted any more, or the worker was closed
   */
  ask<T>(
    question: (worker: Remote<W>) => Promise<T>,
    wanted: () => boolean = () => true
  ): Promise<WorkerResult<T> | undefined> {
    const answer = this.#last.then(() => (wanted() && !this.#closed ? this.#asked(question) : undefined));
    this.#last = answer;
    return answer;
  }

  /** Ends the worker and whatever it is at. */
  close(): void {
    this.#closed = true;
    this.#giveUp?.();
    this.#end();
  }

  #asked<T>(question: (worker: Remote<W>) => Promise<T>): Promise<WorkerResult<T> | undefined> {
    const { worker, remote } = (this.#lives ??= this.#begin());
    return new Promise((done) => {
      const broken = (late: boolean, why: string): void => {
        this.#end();
        settle({ ok: false, late, why });
      };
      const onerror = ({ message }: ErrorEvent): void => broken(false, whyNot(message));
      const timer = setTimeout(() => broken(true, tooLong(this.#seconds)), this.#seconds * 1000);
      const settle = (result: WorkerResult<T> | undefined): void => {
        clearTimeout(timer);
        worker.removeEventListener('error', onerror);
        this.#giveUp = undefined;
        done(result);
      };
      this.#giveUp = () => settle(undefined);
      worker.addEventListener('error', onerror);
      question(remote).then(
        (value) => settle({ ok: true, value }),
        (problem: unknown) => settle({ ok: false, late: false, why: whyNot(problem) })
      );
    });
  }

  #begin(): { worker: Worker; remote: Remote<W> } {
    const worker = this.#open();
    return { worker, remote: wrap<W>(worker) };
  }

  #end(): void {
    this.#lives?.worker.terminate();
    this.#lives = undefined;
  }
}
