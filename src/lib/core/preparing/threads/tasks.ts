import { isKindOf, stepDoes } from '$lib/core/craft/operations';
import {
  findStop,
  type HandStep,
  type Item,
  type Step,
  type Stop,
  type StopStep
} from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import { matchingBobbins, type StackStep } from '$lib/core/craft/stack';
import type { OrderTask } from '$lib/core/solvers/stopOrder';
import { footprintOf, footprintsTouch } from './footprint';

/** A task of the stop order with the steps of the item that it stands for. */
export interface ItemTask extends OrderTask {
  steps: Step[];
  stop: Stop | null;
}

/** A change of the bobbin with the moves of the hoop it needs; it goes wherever the bobbin changes. */
export interface BobbinBundle {
  steps: HandStep[];
  threadId: string | null;
}

export interface ItemTasks {
  tasks: ItemTask[];
  bundles: BobbinBundle[];
}

/** Whether a stop may go past hand work, by the ids of their tasks. */
export type MayPass = (stopTask: string, handsTask: string) => boolean;

/**
 * The tasks of an item: its stops, and the hand work between them.
 *
 * Hand work keeps its order. A stop keeps its side of hand work unless it `mayPass`, and its order to another stop that
 * it touches, or may touch; what a step declares to need comes before it in any case.
 *
 * @param anyHidden stops that nobody will see may be stitched in any thread
 */
export function itemTasks(
  item: Item,
  plan: Plan,
  trace: readonly StackStep[],
  anyHidden: boolean,
  mayPass: MayPass = () => false
): ItemTasks {
  const { groups, bundles } = grouped(item);
  const last = trace.at(-1)?.state;
  const matching = last ? matchingBobbins(item, last) : new Set<string>();
  const seen = new Map(plan.steps.map(({ id, stop }) => [id, stop?.visible]));
  const tasks = groups.map((steps): ItemTask => {
    const first = steps[0];
    const stop = first?.kind === 'stop' ? (findStop(item, first.stopId) ?? null) : null;
    const base = { id: first?.id ?? '', steps, after: [] };
    if (!stop || stop.number === null) return { ...base, stop: null, place: null, ...handsOf(steps) };
    const file = item.files.find(({ stops }) => stops.includes(stop))?.id ?? '';
    const hidden = anyHidden && steps.every(({ id }) => seen.get(id) === 'hidden');
    return {
      ...base,
      stop,
      place: { file, number: stop.number },
      thread: hidden ? null : stop.threadId,
      bobbin: steps.some(({ id }) => matching.has(id)) ? stop.threadId : null
    };
  });
  return { tasks: withPrecedence(tasks, item, mayPass), bundles };
}

/** Thread and bobbin that hand work puts on itself. */
function handsOf(steps: readonly Step[]): Pick<OrderTask, 'thread' | 'bobbin'> {
  let thread: string | null = null;
  let bobbin: string | null = null;
  for (const step of steps) {
    thread = stepDoes(step, 'stitch')?.run.threadId ?? thread;
    bobbin = stepDoes(step, 'wind')?.threadId ?? bobbin;
  }
  return { thread, bobbin };
}

/** Runs of hand steps, and stops; two steps on one stop of the file stay together. */
function grouped(item: Item): { groups: Step[][]; bundles: BobbinBundle[] } {
  const groups: Step[][] = [];
  const bundles: BobbinBundle[] = [];
  const isStitched = (step: Step): step is StopStep =>
    step.kind === 'stop' && (findStop(item, step.stopId)?.number ?? null) !== null;
  let hands: Step[] = [];
  const close = (): void => {
    const bundle = asBundle(hands);
    if (bundle) bundles.push(bundle);
    else if (hands.length > 0) groups.push(hands);
    hands = [];
  };
  for (const step of item.steps) {
    if (!isStitched(step)) {
      hands.push(step);
      continue;
    }
    const before = hands.length === 0 ? groups.at(-1) : undefined;
    const one = before?.at(-1);
    const stop = findStop(item, step.stopId);
    const shares =
      one !== undefined &&
      isStitched(one) &&
      findStop(item, one.stopId)?.number === stop?.number &&
      sameFile(item, one, step);
    close();
    if (before && shares && step.pass === 1) before.push(step);
    else groups.push([step]);
  }
  close();
  return { groups, bundles };
}

function sameFile(item: Item, a: StopStep, b: StopStep): boolean {
  return item.files.some(
    ({ stops }) => stops.some(({ id }) => id === a.stopId) && stops.some(({ id }) => id === b.stopId)
  );
}

function asBundle(hands: readonly Step[]): BobbinBundle | null {
  const steps = hands.filter((step): step is HandStep => step.kind === 'hand');
  if (steps.length < hands.length || !steps.every(({ op }) => isKindOf(op, ({ bobbin }) => bobbin !== null)))
    return null;
  const wound = steps.flatMap((step) => stepDoes(step, 'wind') ?? []).at(-1);
  return wound ? { steps, threadId: wound.threadId } : null;
}

function withPrecedence(tasks: ItemTask[], item: Item, mayPass: MayPass): ItemTask[] {
  const taskOf = new Map(tasks.flatMap(({ id, steps }) => steps.map((step) => [step.id, id] as const)));
  return tasks.map((task, at): ItemTask => {
    const needs = task.steps.flatMap((step) => step.needs.flatMap((need) => taskOf.get(need) ?? []));
    const after = new Set(needs.filter((id) => id !== task.id));
    for (const before of tasks.slice(0, at))
      if (keepsOrder(before, task, item, mayPass)) after.add(before.id);
    // A need that comes later in the sheet is for the order check to say; here it would close a circle.
    const earlier = new Set(tasks.slice(0, at).map(({ id }) => id));
    return { ...task, after: [...after].filter((id) => earlier.has(id)) };
  });
}

/** Whether two tasks keep the order they have. */
function keepsOrder(a: ItemTask, b: ItemTask, item: Item, mayPass: MayPass): boolean {
  if (!a.stop && !b.stop) return true;
  if (!a.stop) return !mayPass(b.id, a.id);
  if (!b.stop) return !mayPass(a.id, b.id);
  if (a.place?.file === b.place?.file && a.place?.number === b.place?.number) return true;
  const [one, other] = [footprintOf(a.stop, item), footprintOf(b.stop, item)];
  if (!footprintsTouch(one, other)) return false;
  // Where only bounds are known the maker may say that a stop lies clear of the others.
  const sure = one?.exact === true && other?.exact === true;
  return sure || !(a.stop.apart === true || b.stop.apart === true);
}
