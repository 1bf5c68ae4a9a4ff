import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Setup, Shop } from '$lib/core/documents/shop';
import { type Appearance, appearance, sketchOf } from '$lib/core/making/appearance';
import { review } from '$lib/core/making/checks';
import { type RibbonStep, ribbonSteps } from './ribbon';

/** What shelf and bench show of an item, so that nothing is planned only to be listed. */
export interface ItemSummary {
  finished: Plan['finished'];
  unit: Plan['unit'];
  hoop: string;
  machine: string;
  stitches: number;
  /** s */
  hands: number;
  needle: number;
  waiting: number;
  ribbon: RibbonStep[];
  /** Its front as it ends, for a card. */
  look: Appearance | null;
  /** How much there is to look at before it is stitched. */
  toLookAt: number;
}

/**
 * Plans, simulates and checks an item, and keeps what is shown of it in a list.
 *
 * @example
 * itemSummary(badgerTab, undefined, shop).toLookAt // 0
 */
export function itemSummary(item: Item, setup: Setup | undefined, shop: Shop): ItemSummary {
  const { plan, trace, checked } = review(item, setup, shop);
  const { finished, unit, hoop, machine, stitches, totals, steps, warnings } = plan;
  const last = trace.at(-1)?.state;
  return {
    finished,
    unit,
    stitches,
    hoop: hoop.name,
    machine: machine.name,
    hands: totals.hands.value,
    needle: totals.needle.value,
    waiting: totals.waiting.value,
    ribbon: ribbonSteps(steps),
    look: last
      ? { ...sketchOf(appearance(last, item)), ...(item.photo !== undefined && { photo: item.photo }) }
      : null,
    toLookAt: [...warnings, ...checked.open].filter(({ severity }) => severity !== 'note').length
  };
}
