import type { PlanStep } from '$lib/core/documents/plan';
import type { Machine, Shop } from '$lib/core/documents/shop';
import { handsEstimate, needleEstimate, overheadSeconds } from '$lib/core/making/time';
import type { Item } from '$lib/core/documents/item';

/** Whose times count. */
export interface Timed {
  machine: Machine;
  shop: Shop;
  person: string;
}

/** The step with other hands: its parts, and the time they take by what is known of the person. */
function withHands(step: PlanStep, parts: PlanStep['parts'], { shop, person }: Timed): PlanStep {
  return { ...step, parts, hands: handsEstimate([parts], shop.learned?.people[person]) };
}

/** The step with one thing more for the hands. */
export function withPart(step: PlanStep, part: PlanStep['parts'][number], timed: Timed): PlanStep {
  return withHands(step, [...step.parts, part], timed);
}

/** A hand step done so often at one halt. */
export function handsRepeated(step: PlanStep, times: number, timed: Timed): PlanStep {
  if (times === 1) return step;
  const parts = step.parts.map((part) => ({
    ...part,
    times: part.times * times,
    seconds: part.seconds * times
  }));
  return { ...withHands(step, parts, timed), running: scaled(step.running, times) };
}

/**
 * A stop of several copies run as one: their stitches, one start and one halt, a trim or a jump for the scissors between
 * two copies.
 *
 * @param total copies of all heads; a head goes from one of its copies to the next
 * @param heads that stitch the same at the same time
 */
export function stopRepeated(
  step: PlanStep,
  { total, heads }: { total: number; heads: number },
  timed: Timed
): PlanStep {
  const { stop } = step;
  if (!stop || total === 1) return step;
  const copies = Math.ceil(total / heads);
  const { machine, shop } = timed;
  const needle = stop.needle && {
    stitching: stop.needle.stitching * copies,
    overhead: stop.needle.overhead,
    trims: stop.needle.trims * copies
  };
  const jumps = machine.trimmer ? 0 : total - heads;
  const snips = { key: 'snipJump', times: jumps, seconds: shop.hands.snipJump * jumps };
  return {
    ...withHands(step, jumps > 0 ? [...step.parts, snips] : step.parts, timed),
    running: needle
      ? needleEstimate([needle], shop.learned?.machines[machine.id])
      : scaled(step.running, copies),
    stop: {
      ...stop,
      stitches: stop.stitches * copies,
      upperMetres: stop.upperMetres * copies,
      bobbinMetres: stop.bobbinMetres * copies,
      ...(needle && { needle })
    }
  };
}

/** A stop that the machine reaches from the copy before it: without a trimmer each head leaves a jump for the scissors. */
export function withJump(step: PlanStep, heads: number, timed: Timed): PlanStep {
  if (timed.machine.trimmer) return step;
  const { snipJump } = timed.shop.hands;
  return withPart(step, { key: 'snipJump', times: heads, seconds: snipJump * heads }, timed);
}

/** A stop with the change of needle that comes before it, or none. */
export function stopWithNeedle(
  step: PlanStep,
  needle: number | null,
  switches: boolean,
  { machine, shop }: Timed
): PlanStep {
  const { stop } = step;
  if (!stop?.needle || stop.needle.stitching === 0) return { ...step, needle };
  const own = { ...stop.needle, overhead: overheadSeconds(switches) };
  return {
    ...step,
    needle,
    running: needleEstimate([own], shop.learned?.machines[machine.id]),
    stop: { ...stop, needle: own }
  };
}

/** A hand step that the hooping brings and the item does not have. */
export function broughtStep(
  beside: PlanStep,
  own: Pick<PlanStep, 'id' | 'mark' | 'title' | 'detail' | 'op'>,
  parts: PlanStep['parts'],
  timed: Timed
): PlanStep {
  return {
    ...withHands(beside, parts, timed),
    ...own,
    itemStepId: null,
    kind: 'hand',
    stop: null,
    needle: null,
    note: '',
    running: needleEstimate([], undefined),
    waiting: scaled(beside.waiting, 0),
    caution: null
  };
}

function scaled(estimate: PlanStep['running'], times: number): PlanStep['running'] {
  const { value, low, high } = estimate;
  return { ...estimate, value: value * times, low: low * times, high: high * times };
}

/** What the steps of a hooping are made for. */
export interface HoopingContext extends Timed {
  item: Item;
  /** Steps of the item whose bobbin must be wound with their own thread. */
  matching: ReadonlySet<string>;
  /** What a full bobbin holds, m. */
  bobbinMetres: number;
  /** What is on the bobbin before the first stitch, m; a full one where missing. */
  bobbinLeft?: number;
}
