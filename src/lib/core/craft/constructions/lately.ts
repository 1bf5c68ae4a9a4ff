/** What was made last, by what it was made of. Whoever asks gets the same thing again and changes nothing in it. */
export class Lately<T> {
  readonly #most: number;
  readonly #made = new Map<string, T>();

  /** @param most how many are kept; the one that was asked for longest ago goes first */
  constructor(most: number) {
    this.#most = most;
  }

  /**
   * The thing of a key, made where it is not at hand.
   *
   * @example
   * lately.of('width 40', () => compose(…))
   */
  of(key: string, make: () => T): T {
    const known = this.#made.get(key);
    const made = known ?? make();
    this.#made.delete(key);
    this.#made.set(key, made);
    const [first] = this.#made.keys();
    if (this.#made.size > this.#most && first !== undefined) this.#made.delete(first);
    return made;
  }
}
