import type { BatchInput } from '$lib/core/ordering/day';
import type { Promised, Spread } from '$lib/core/ordering/promise';
import type { StashEntry } from '$lib/core/documents/stash';
import type { Raised, WeekInput } from '$lib/core/ordering/week';
import { whyNot } from '$lib/core/base/problems';
import { wrap } from 'comlink';
import { batchWorker, type BatchWorker, type WeekAnswer } from './batchWorker';
import { type Course, Following } from './Following.svelte';

/** What a worker of orders answers in one go; the last answer stays until the next is there. */
abstract class AskingOnce<Input, Answer> extends Following<Input> {
  answer = $state.raw<Answer | null>(null);

  protected abstract ask(worker: ReturnType<typeof wrap<BatchWorker>>, input: Input): Promise<Answer | null>;

  protected begin(input: Input, { wanted, end }: Course): () => void {
    const worker = batchWorker();
    worker.addEventListener('error', ({ message }) => end(whyNot(message)));
    this.ask(wrap<BatchWorker>(worker), input).then(
      (answer) => {
        if (wanted()) this.answer = answer;
        end();
        worker.terminate();
      },
      (problem: unknown) => end(whyNot(problem))
    );
    return () => worker.terminate();
  }
}

/** When an order can be promised. */
export class Promising extends AskingOnce<{ input: BatchInput; spread: Spread }, Promised> {
  protected ask(
    worker: ReturnType<typeof wrap<BatchWorker>>,
    { input, spread }: { input: BatchInput; spread: Spread }
  ): Promise<Promised> {
    return worker.promise(input, spread);
  }
}

/** What is asked of the week; what orders take is told where there is a stash to take it from. */
interface WeekAsked {
  input: WeekInput;
  spread: Spread;
  stash?: readonly StashEntry[];
  /** What logged run-outs measured of the bobbins. */
  measured?: readonly number[];
}

/** All open orders together. */
export class WeekPlanning extends AskingOnce<WeekAsked, WeekAnswer> {
  protected ask(
    worker: ReturnType<typeof wrap<BatchWorker>>,
    { input, spread, stash = [], measured = [] }: WeekAsked
  ): Promise<WeekAnswer | null> {
    return worker.week(input, spread, stash, measured);
  }
}

/** What would bring one order of the week forward. */
export class WeekRaising extends AskingOnce<{ input: WeekInput; spread: Spread; orderId: string }, Raised[]> {
  protected ask(
    worker: ReturnType<typeof wrap<BatchWorker>>,
    { input, spread, orderId }: { input: WeekInput; spread: Spread; orderId: string }
  ): Promise<Raised[]> {
    return worker.raises(input, spread, orderId);
  }
}
