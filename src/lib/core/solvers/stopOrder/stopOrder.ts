import { beamOrder } from './orderBeam';
import { type Done, Precedence } from './precedence';
import { type OrderTask, type OrderCost, compareCosts, orderCost, Places } from './cost';

export interface StopOrder {
  /** Ids of the tasks in their order. */
  order: string[];
  cost: OrderCost;
  /** Whether no order can be better; otherwise it is the best that was found. */
  proven: boolean;
}

/** States that are looked at before the search is broken off. */
const MOST_STATES = 40_000;

/**
 * The order of stops with the fewest thread changes, among those the fewest bobbin changes, and among those the least
 * jumping about in the file.
 *
 * Thread and bobbin changes: whatever can be stitched without a change may be stitched at once, since moving it forward
 * never adds one. So only the choice of the next thread and bobbin branches, over the sets of what is done. Jumps: a
 * depth-first search over the orders that keep that optimum, each state looked at once.
 *
 * @throws RangeError when tasks wait for each other in a circle
 *
 * @example
 * bestOrder([stop('1', 'white'), stop('2', 'pink'), stop('3', 'white')]).order // ['1', '3', '2']
 */
export function bestOrder(tasks: readonly OrderTask[], mostStates = MOST_STATES): StopOrder {
  const precedence = new Precedence(tasks);
  try {
    const order = new Search(tasks, precedence, mostStates).best();
    return { order, cost: orderCost(tasks, order), proven: true };
  } catch (problem) {
    if (!(problem instanceof TooMany)) throw problem;
  }
  const found = [fileOrder(tasks), beamOrder(tasks, precedence)].map((order) => ({
    order,
    cost: orderCost(tasks, order)
  }));
  found.sort((a, b) => compareCosts(a.cost, b.cost));
  const [best] = found;
  return { ...(best ?? { order: [], cost: { threads: 0, bobbins: 0, jumps: 0 } }), proven: false };
}

const fileOrder = (tasks: readonly OrderTask[]): string[] => tasks.map(({ id }) => id);

class TooMany extends Error {}

/** Thread and bobbin changes as one number: no item has a thousand bobbin changes. */
const THREAD = 1000;

class Search {
  #states = 0;
  readonly #changes = new Map<string, number>();
  readonly #jumps = new Map<string, number>();
  /** What needs no change with a thread and a bobbin on. */
  readonly #free = new Map<string, number[]>();
  readonly #places: Places;

  constructor(
    readonly tasks: readonly OrderTask[],
    readonly precedence: Precedence,
    readonly mostStates: number
  ) {
    this.#places = new Places(tasks);
  }

  best(): string[] {
    const order: string[] = [];
    let state: State = { done: this.precedence.none, thread: null, bobbin: null, last: -1 };
    while (order.length < this.tasks.length) {
      const next = this.#best(state);
      order.push(this.tasks[next]?.id ?? '');
      state = this.#after(state, next);
    }
    return order;
  }

  /** The next task on a best way from a state. */
  #best(state: State): number {
    let best = -1;
    let fewest = Infinity;
    for (const next of this.#choices(state)) {
      const jumps = this.#cost(state, next) + this.#jumpsFrom(this.#after(state, next));
      if (jumps < fewest) [best, fewest] = [next, jumps];
    }
    return best;
  }

  #jumpsFrom(state: State): number {
    if (this.precedence.isAll(state.done)) return 0;
    const key = this.#key(state);
    const known = this.#jumps.get(key);
    if (known !== undefined) return known;
    this.#count();
    let fewest = Infinity;
    for (const next of this.#choices(state))
      fewest = Math.min(fewest, this.#cost(state, next) + this.#jumpsFrom(this.#after(state, next)));
    this.#jumps.set(key, fewest);
    return fewest;
  }

  /** Tasks that may come next on a way with the fewest changes, as far as they must be told apart. */
  #choices(state: State): number[] {
    const able = this.precedence.available(state.done);
    const isFree = (at: number): boolean => {
      const task = this.tasks[at];
      return (
        task !== undefined &&
        (task.thread === null || task.thread === state.thread) &&
        (task.bobbin === null || task.bobbin === state.bobbin)
      );
    };
    // Hands move nothing in the file, so they may as well come as soon as they can.
    const hands = able.find((at) => this.tasks[at]?.place === null && isFree(at));
    if (hands !== undefined) return [hands];
    // What the machine comes to by itself may as well come now, if nothing has to be changed for it.
    const goesOn = able.find((at) => this.#follows(state.last, at));
    if (goesOn !== undefined && isFree(goesOn)) return [goesOn];
    // A stop with no neighbour left in the file costs its jump anywhere: now, unless the file could go on.
    if (goesOn === undefined && this.#places.files === 1) {
      const lone = able.find((at) => isFree(at) && this.#isLone(state.done, at));
      if (lone !== undefined) return [lone];
    }
    const fewest = this.#changesFrom(state);
    return able.filter((at) => {
      const after = this.#after(state, at);
      return this.#changeCost(state, at) + this.#changesFrom(after) === fewest;
    });
  }

  /** Whether a stop comes next in the file by itself; the first of another file may as well wait. */
  #follows(last: number, at: number): boolean {
    const task = this.tasks[at];
    const before = this.tasks[last] ?? null;
    if (!task?.place || (before ? before.place?.file !== task.place.file : this.#places.files > 1))
      return false;
    return !this.#places.jumps(before, task);
  }

  #jumpsTo(state: State, at: number): boolean {
    const task = this.tasks[at];
    return !task?.place || this.#places.jumps(this.tasks[state.last] ?? null, task);
  }

  #cost(state: State, at: number): number {
    return this.tasks[at]?.place && this.#jumpsTo(state, at) ? 1 : 0;
  }

  /** Whether no stop is left that could stand before or after one in the file. */
  #isLone(done: Done, at: number): boolean {
    const place = this.tasks[at]?.place;
    return !this.tasks.some(
      (other, index) =>
        place &&
        index !== at &&
        !this.precedence.has(done, index) &&
        other.place?.file === place.file &&
        Math.abs(other.place.number - place.number) === 1
    );
  }

  /** Fewest thread and bobbin changes from a state on. */
  #changesFrom({ done, thread, bobbin }: Omit<State, 'last'>): number {
    const closed = this.#closed(done, thread, bobbin);
    if (this.precedence.isAll(closed)) return 0;
    const key = `${String(closed)} ${thread ?? ''} ${bobbin ?? ''}`;
    const known = this.#changes.get(key);
    if (known !== undefined) return known;
    this.#count();
    let fewest = Infinity;
    const tried = new Set<string>();
    for (const at of this.precedence.available(closed)) {
      const state = { done: closed, thread, bobbin };
      const next = { ...this.#putOn(state, at), done: closed };
      const on = `${next.thread ?? ''} ${next.bobbin ?? ''}`;
      if (tried.has(on)) continue;
      tried.add(on);
      fewest = Math.min(fewest, this.#changeCost(state, at) + this.#changesFrom(next));
    }
    this.#changes.set(key, fewest);
    return fewest;
  }

  /** Everything done that needs no change. */
  #closed(done: Done, thread: string | null, bobbin: string | null): Done {
    const on = `${thread ?? ''} ${bobbin ?? ''}`;
    let free = this.#free.get(on);
    if (!free) {
      free = this.tasks.flatMap((task, at) =>
        (task.thread === null || task.thread === thread) && (task.bobbin === null || task.bobbin === bobbin)
          ? [at]
          : []
      );
      this.#free.set(on, free);
    }
    return this.precedence.closed(done, free);
  }

  #putOn(
    state: Pick<State, 'thread' | 'bobbin'>,
    at: number
  ): { thread: string | null; bobbin: string | null } {
    const task = this.tasks[at];
    return { thread: task?.thread ?? state.thread, bobbin: task?.bobbin ?? state.bobbin };
  }

  #changeCost(state: Pick<State, 'thread' | 'bobbin'>, at: number): number {
    const { thread, bobbin } = this.#putOn(state, at);
    return (thread === state.thread ? 0 : THREAD) + (bobbin === state.bobbin ? 0 : 1);
  }

  #after(state: State, at: number): State {
    return {
      done: this.precedence.with(state.done, at),
      ...this.#putOn(state, at),
      last: this.tasks[at]?.place ? at : state.last
    };
  }

  /** Two states are one where what was stitched last cannot be gone on from any more. */
  #key({ done, thread, bobbin, last }: State): string {
    const place = this.tasks[last]?.place;
    const goesOn =
      place &&
      this.tasks.some(
        (task, at) =>
          task.place?.file === place.file &&
          task.place.number === place.number + 1 &&
          !this.precedence.has(done, at)
      );
    const from = goesOn ? last : place ? -2 : -1;
    return `${String(done)} ${thread ?? ''} ${bobbin ?? ''} ${from === -2 ? `-${place?.file ?? ''}` : from}`;
  }

  #count(): void {
    if (++this.#states > this.mostStates) throw new TooMany();
  }
}

interface State {
  done: Done;
  thread: string | null;
  bobbin: string | null;
  /** The last stop stitched; -1 before the first. */
  last: number;
}
