import type { Done, Precedence } from './precedence';
import { type OrderTask, Places } from './cost';

/** States kept at each step. */
const WIDTH = 120;

interface Way {
  done: Done;
  thread: string | null;
  bobbin: string | null;
  last: number;
  cost: number;
  order: number[];
}

/** Thread changes, bobbin changes and jumps as one number, none of which can carry into the next. */
const COST = { thread: 1_000_000, bobbin: 1000, jump: 1 } as const;

/**
 * A good order where proving the best would take too long: the best few ways are followed step by step, each rated by
 * what it has cost and by the threads it still has to put on.
 */
export function beamOrder(tasks: readonly OrderTask[], precedence: Precedence): string[] {
  const places = new Places(tasks);
  let ways: Way[] = [{ done: precedence.none, thread: null, bobbin: null, last: -1, cost: 0, order: [] }];
  for (let step = 0; step < tasks.length; step++) {
    const next = new Map<string, Way>();
    for (const way of ways)
      for (const at of precedence.available(way.done)) {
        const to = extended(way, at, tasks, precedence, places);
        const key = `${String(to.done)} ${to.thread ?? ''} ${to.bobbin ?? ''} ${to.last}`;
        const known = next.get(key);
        if (!known || to.cost < known.cost) next.set(key, to);
      }
    ways = [...next.values()]
      .map((way) => ({ way, rated: way.cost + COST.thread * waiting(way, tasks, precedence) }))
      .sort((a, b) => a.rated - b.rated)
      .slice(0, WIDTH)
      .map(({ way }) => way);
  }
  const best = ways.reduce<Way | undefined>((a, b) => (a && a.cost <= b.cost ? a : b), undefined);
  return (best?.order ?? []).map((at) => tasks[at]?.id ?? '');
}

function extended(
  way: Way,
  at: number,
  tasks: readonly OrderTask[],
  precedence: Precedence,
  places: Places
): Way {
  const task = tasks[at];
  if (!task) return way;
  const thread = task.thread ?? way.thread;
  const bobbin = task.bobbin ?? way.bobbin;
  const jumps = task.place !== null && places.jumps(tasks[way.last] ?? null, task);
  return {
    done: precedence.with(way.done, at),
    thread,
    bobbin,
    last: task.place ? at : way.last,
    cost:
      way.cost +
      (thread === way.thread ? 0 : COST.thread) +
      (bobbin === way.bobbin ? 0 : COST.bobbin) +
      (jumps ? COST.jump : 0),
    order: [...way.order, at]
  };
}

/** Threads that have to go on still. */
function waiting(way: Way, tasks: readonly OrderTask[], precedence: Precedence): number {
  const threads = new Set<string>();
  tasks.forEach(({ thread }, at) => {
    if (thread !== null && thread !== way.thread && !precedence.has(way.done, at)) threads.add(thread);
  });
  return threads.size;
}
