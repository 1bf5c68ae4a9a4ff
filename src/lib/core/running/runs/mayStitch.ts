import type { Item, Thread } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { StackStep } from '$lib/core/craft/stack';
import { itemTasks } from '$lib/core/preparing/threads';
import { mayStitchNow } from '$lib/core/solvers/stopOrder';
import type { RunState } from './runState';

/** What may be stitched at the machine with the thread that is on. */
export interface NowPossible {
  thread: Thread;
  /** Stops by step, with the numbers of those that must come first in the same thread. */
  stops: { stepId: string; number: number; title: string; first: number[] }[];
}

/**
 * This thread is on, at this point of a run: which stops may be stitched now, out of the file’s order too.
 *
 * @param item as the run’s variant has it
 * @param anyHidden stops nobody will see may take any thread
 * @returns null before any thread is on
 */
export function mayStitchAt(
  item: Item,
  plan: Plan,
  trace: readonly StackStep[],
  state: Pick<RunState, 'at' | 'done' | 'path'>,
  anyHidden: boolean
): NowPossible | null {
  const thread = [...state.path, state.at].reduce<Thread | null>(
    (on, at) => plan.steps[at]?.thread ?? on,
    null
  );
  if (!thread) return null;
  const isDone = new Set(plan.steps.flatMap(({ id }, at) => (state.done[at] ? [id] : [])));
  const { tasks } = itemTasks(item, plan, trace, anyHidden);
  const done = new Set(
    tasks.filter(({ steps }) => steps.every(({ id }) => isDone.has(id))).map(({ id }) => id)
  );
  const stepOf = (id: string): Plan['steps'][number] | undefined => plan.steps.find((step) => step.id === id);
  const numberOf = (id: string): number => stepOf(id)?.stop?.machineNumber ?? 0;
  return {
    thread,
    stops: mayStitchNow(tasks, done, thread.id).map(({ id, first }) => ({
      stepId: id,
      number: numberOf(id),
      title: stepOf(id)?.title ?? '',
      first: first.map(numberOf).filter((number) => number > 0)
    }))
  };
}
