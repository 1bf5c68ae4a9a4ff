import { tooLong } from './bounded';

/** How a piece of work tells what it comes to. */
export interface Course {
  /** Whether it is still wanted. */
  wanted: () => boolean;
  /** It is over; with why, where it broke off. */
  end: (problem?: string) => void;
}

/** Work that follows its source: done anew when what it is made from has changed, what it gave before stays until then. */
export abstract class Following<Input> {
  working = $state(false);
  /** Why the work came to no end; null where it did, or has not yet. */
  failed = $state<string | null>(null);
  #key = '';
  #stop: (() => void) | undefined;

  /** @param seconds the most the work may take */
  constructor(private readonly seconds = 120) {}

  /** Begins anew when what the work is made from has changed. */
  follow(input: Input): void {
    const key = this.keyOf(input);
    if (key === this.#key) return;
    this.#key = key;
    this.stop();
    this.failed = null;
    this.working = true;
    let wanted = true;
    const end = (problem?: string): void => {
      if (!wanted) return;
      this.failed = problem ?? null;
      this.stop();
    };
    const timer = setTimeout(() => end(tooLong(this.seconds)), this.seconds * 1000);
    const over = (): void => {
      wanted = false;
      clearTimeout(timer);
    };
    this.#stop = over;
    const stopWork = this.begin(input, { wanted: () => wanted, end });
    if (!wanted) return stopWork();
    this.#stop = () => {
      over();
      stopWork();
    };
  }

  /** Ends the work; the best so far stays. */
  stop(): void {
    this.#stop?.();
    this.#stop = undefined;
    this.working = false;
  }

  /** What tells one input from another. */
  protected keyOf(input: Input): string {
    return JSON.stringify(input);
  }

  /** Begins the work; gives what breaks it off. */
  protected abstract begin(input: Input, course: Course): () => void;
}
