/**
 * What a block knows of those after it, and what waits for them: a topping goes on before the first stitches that would sink
 * in, but only once no more cloth is laid, which would shut it in.
 */
export class Ahead {
  #at = 0;
  #waiting: (() => void) | null = null;

  /** @param does what each block does, in their order: it begins a hooping, lays cloth on the work or cuts it, or neither */
  constructor(private readonly does: readonly ('hoops' | 'lays' | null)[]) {}

  /** The block at this place is written now. */
  reach(at: number): void {
    this.#at = at;
    // What waited in one hooping has nothing to do in the next.
    if (this.does[at] === 'hoops') this.#waiting = null;
  }

  /** Whether a later block of this hooping lays cloth on the work. */
  get laysMore(): boolean {
    return this.does.slice(this.#at + 1).find((each) => each !== null) === 'lays';
  }

  /** Keeps work until stitches come that want it. */
  wait(work: () => void): void {
    this.#waiting = work;
  }

  /** Stitches come that sink in: does what waited for them, unless cloth comes after them. @returns whether it did something */
  beforeDense(): boolean {
    const work = this.#waiting;
    if (!work || this.laysMore) return false;
    this.#waiting = null;
    work();
    return true;
  }
}
