/** How a piece of work tells what it comes to. */
export interface Course {
  /** Whether it is still wanted. */
  wanted: () => boolean;
  /** It is over; false where it broke off. */
  end: (whole: boolean) => void;
}

/** Work that follows its source: done anew when what it is made from has changed, what it gave before stays until then. */
export abstract class Following<Input> {
  working = $state(false);
  failed = $state(false);
  #key = '';
  #stop: (() => void) | undefined;

  /** Begins anew when what the work is made from has changed. */
  follow(input: Input): void {
    const key = this.keyOf(input);
    if (key === this.#key) return;
    this.#key = key;
    this.stop();
    this.failed = false;
    this.working = true;
    let wanted = true;
    this.#stop = () => (wanted = false);
    const stopWork = this.begin(input, {
      wanted: () => wanted,
      end: (whole) => {
        if (!wanted) return;
        this.failed = !whole;
        this.stop();
      }
    });
    if (!wanted) return stopWork();
    this.#stop = () => {
      wanted = false;
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
