/** Hoops of every size, and when each is free; a hoop in use has no end yet. */
export class HoopPool {
  readonly #free: Map<string, number[]>;

  constructor(counts: Readonly<Record<string, number>>, start: number) {
    this.#free = new Map(
      Object.entries(counts).map(([id, count]) => [id, new Array<number>(count).fill(start)])
    );
  }

  /** When so many hoops of a size are free at once; infinite while that is not known. */
  freeAt(hoopId: string, count: number): number {
    const free = this.#free.get(hoopId) ?? [];
    return free.toSorted((a, b) => a - b)[count - 1] ?? Infinity;
  }

  take(hoopId: string, count: number): void {
    const free = this.#free.get(hoopId)?.sort((a, b) => a - b);
    for (let at = 0; free && at < Math.min(count, free.length); at++) free[at] = Infinity;
  }

  give(hoopId: string, count: number, at: number): void {
    const free = this.#free.get(hoopId) ?? [];
    for (let index = 0, left = count; index < free.length && left > 0; index++)
      if (free[index] === Infinity) {
        free[index] = at;
        left--;
      }
  }
}
