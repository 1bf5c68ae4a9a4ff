import { does } from '$lib/core/craft/operations';
import type { HandStep, Item, Step } from '$lib/core/documents/item';
import type { BobbinBundle, ItemTask } from './tasks';

/**
 * The item with its stops in another order. Stops that take any thread get the one that is on; the bobbin is changed
 * where the order needs it, with the moves of the hoop that its maker had for it.
 *
 * @param order ids of the tasks
 *
 * @example
 * reorderItem(lace, tasks, bundles, bestOrder(tasks).order).steps.map(({ id }) => id)
 */
export function reorderItem(
  item: Item,
  tasks: readonly ItemTask[],
  bundles: readonly BobbinBundle[],
  order: readonly string[]
): Item {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const ordered = order.flatMap((id) => byId.get(id) ?? []);
  const bundled = new Set(bundles.flatMap(({ steps }) => steps.map(({ id }) => id)));
  const inserting = new Bundles(bundles);
  const threads = new Map<string, string>();
  const steps: Step[] = [];
  let thread = ordered.find((task) => task.thread !== null)?.thread ?? null;
  let bobbin: string | null = null;
  let first = true;
  for (const task of ordered) {
    thread = task.thread ?? thread;
    if (task.stop && task.thread === null && thread !== null) threads.set(task.stop.id, thread);
    if (task.bobbin !== null && task.bobbin !== bobbin) {
      // Hand work with a bobbin in it puts it on itself; before the first stop none is in the way.
      if (task.stop && (bundles.length > 0 || !first)) steps.push(...inserting.next(task));
      bobbin = task.bobbin;
    }
    if (task.stop) first = false;
    steps.push(...task.steps);
  }
  return {
    ...item,
    files: item.files.map((file) => ({
      ...file,
      stops: file.stops.map((stop) => ({ ...stop, threadId: threads.get(stop.id) ?? stop.threadId }))
    })),
    // What went along with a bobbin change is no longer where others could wait for it.
    steps: withOtherVariants(item.steps, steps, bundled).map((step) => ({
      ...step,
      needs: step.needs.filter((need) => !bundled.has(need))
    }))
  };
}

/** Steps of other variants follow the step they followed. */
function withOtherVariants(
  before: readonly Step[],
  ordered: readonly Step[],
  dropped: ReadonlySet<string>
): Step[] {
  const steps = [...ordered];
  const there = new Set(ordered.map(({ id }) => id));
  before.forEach((step, at) => {
    if (there.has(step.id) || dropped.has(step.id)) return;
    const previous = before.slice(0, at).findLast(({ id }) => there.has(id));
    steps.splice(previous ? steps.findIndex(({ id }) => id === previous.id) + 1 : 0, 0, step);
    there.add(step.id);
  });
  return steps;
}

/** Bobbin changes to be put in, each with ids of its own. */
class Bundles {
  readonly #used = new Set<string>();

  constructor(readonly bundles: readonly BobbinBundle[]) {}

  next(task: ItemTask): HandStep[] {
    const threadId = task.bobbin ?? undefined;
    const usable = this.bundles.filter(({ steps }) => !this.#used.has(steps[0]?.id ?? ''));
    const own = usable.find((bundle) => bundle.threadId === task.bobbin) ?? usable[0] ?? this.bundles[0];
    const again = own !== undefined && this.#used.has(own.steps[0]?.id ?? '');
    if (own) this.#used.add(own.steps[0]?.id ?? '');
    const template = own?.steps ?? [plainBobbin(task)];
    return template.map((step): HandStep => ({
      ...step,
      id: again ? `${step.id}-before-${task.id}` : step.id,
      needs: [],
      op:
        does(step.op, 'wind') !== null
          ? { do: 'bobbin', ...(threadId !== undefined && { threadId }) }
          : step.op
    }));
  }
}

function plainBobbin({ id, steps }: ItemTask): HandStep {
  const hoopingId = steps[0]?.hoopingId ?? '';
  return { kind: 'hand', id: `bobbin-for-${id}`, hoopingId, needs: [], note: '', op: { do: 'bobbin' } };
}
