/** A set of tasks that are done: bit n for the nth. */
export type Done = bigint;

/** What has to come before what, over a list of tasks. */
export class Precedence {
  readonly none: Done = 0n;
  readonly #bits: Done[];
  readonly #before: Done[];
  readonly #all: Done;

  /** @throws RangeError when tasks wait for each other in a circle */
  constructor(tasks: readonly { id: string; after: readonly string[] }[]) {
    this.#bits = tasks.map((_, at) => 1n << BigInt(at));
    const bitOf = new Map(tasks.map(({ id }, at) => [id, this.#bits[at] ?? 0n]));
    this.#before = tasks.map(({ after }) => after.reduce((sum, id) => sum | (bitOf.get(id) ?? 0n), 0n));
    this.#all = (1n << BigInt(tasks.length)) - 1n;
    let done = this.none;
    for (let open = this.available(done); open.length > 0; open = this.available(done))
      for (const at of open) done = this.with(done, at);
    if (!this.isAll(done)) throw new RangeError('Some steps wait for each other in a circle.');
  }

  /** Tasks that are not done and wait for nothing any more, in the order of the list. */
  available(done: Done): number[] {
    const able: number[] = [];
    for (let at = 0; at < this.#bits.length; at++) {
      const before = this.#before[at] ?? 0n;
      if ((done & (this.#bits[at] ?? 0n)) === 0n && (before & done) === before) able.push(at);
    }
    return able;
  }

  /** Everything of some tasks done that can be, in whatever order. */
  closed(done: Done, tasks: readonly number[]): Done {
    let closed = done;
    // Tasks mostly wait for earlier ones, so one pass or two are enough.
    for (let before = -1n; before !== closed;) {
      before = closed;
      for (const at of tasks) {
        const needs = this.#before[at] ?? 0n;
        if ((needs & closed) === needs) closed |= this.#bits[at] ?? 0n;
      }
    }
    return closed;
  }

  with(done: Done, at: number): Done {
    return done | (this.#bits[at] ?? 0n);
  }

  has(done: Done, at: number): boolean {
    return (done & (this.#bits[at] ?? 0n)) !== 0n;
  }

  isAll(done: Done): boolean {
    return done === this.#all;
  }
}
