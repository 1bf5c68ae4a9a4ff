/** One thing on the way through an item: a stop, or hand work between two halts. */
export interface OrderTask {
  id: string;
  /** The thread it needs; null where any will do, as for a stop nobody will see. */
  thread: string | null;
  /** The bobbin it needs; null where any will do. */
  bobbin: string | null;
  /** The file and the machine’s number in it; null for what is no stop. */
  place: { file: string; number: number } | null;
  /** Tasks that come before it. */
  after: readonly string[];
}

/** What an order costs: first of all thread changes, then bobbin changes, then jumps in the file. */
export interface OrderCost {
  threads: number;
  bobbins: number;
  jumps: number;
}

/** Which of two costs is smaller, the gravest count first. */
export function compareCosts(a: OrderCost, b: OrderCost): number {
  return a.threads - b.threads || a.bobbins - b.bobbins || a.jumps - b.jumps;
}

/**
 * What an order costs. The first thread and the first bobbin count as a change each: they are put on too.
 *
 * @example
 * orderCost(tasks, ['1', '2', '3']) // { threads: 3, bobbins: 0, jumps: 0 }
 */
export function orderCost(tasks: readonly OrderTask[], order: readonly string[]): OrderCost {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const places = new Places(tasks);
  const cost: OrderCost = { threads: 0, bobbins: 0, jumps: 0 };
  let thread: string | null = null;
  let bobbin: string | null = null;
  let last: OrderTask | null = null;
  for (const id of order) {
    const task = byId.get(id);
    if (!task) throw new RangeError(`There is no task ${id}.`);
    if (task.thread !== null && task.thread !== thread) cost.threads += 1;
    if (task.bobbin !== null && task.bobbin !== bobbin) cost.bobbins += 1;
    thread = task.thread ?? thread;
    bobbin = task.bobbin ?? bobbin;
    if (task.place) {
      if (places.jumps(last, task)) cost.jumps += 1;
      last = task;
    }
  }
  return cost;
}

/** Where the machine goes by itself in each file. */
export class Places {
  readonly #first = new Map<string, number>();

  constructor(tasks: readonly OrderTask[]) {
    for (const { place } of tasks)
      if (place) this.#first.set(place.file, Math.min(place.number, this.#first.get(place.file) ?? Infinity));
  }

  get files(): number {
    return this.#first.size;
  }

  /** Whether a stop is not the one the machine comes to by itself after another. */
  jumps(last: OrderTask | null, { place }: OrderTask): boolean {
    if (!place) return false;
    if (last?.place?.file === place.file) return place.number !== last.place.number + 1;
    return place.number !== this.#first.get(place.file);
  }
}
