import { copiesOf, type BatchInput, planned, type Planned } from '$lib/core/ordering/day';
import type { Order } from '$lib/core/documents/order';
import type { Shop } from '$lib/core/documents/shop';
import { drawFinishes } from './draw';
import type { Spread } from './spread';

/** Draws of a promise, and of each way to raise it. */
const DRAWS = 1000;
const DRAWS_TO_COMPARE = 400;
const ROUNDS_TO_COMPARE = 250;
/** A way that raises the chance by less is not told. */
const WORTH_TELLING = 0.02;

/** When an order is done, as often as it is said. */
export interface Promised {
  /** As the plan has it, and one time in two, four in five, nineteen in twenty, s from the midnight the plan begins. */
  planned: number;
  half: number;
  fourInFive: number;
  nineteenInTwenty: number;
  /** Chance of the due date; null where there is none. */
  chance: number | null;
  /** What would raise it, the best first, each planned and drawn anew. */
  raises: { words: string; chance: number; fourInFive: number }[];
}

/** A way to raise a promise: what is changed. */
interface Raise {
  words: string;
  change: (input: BatchInput) => BatchInput | null;
}

/**
 * When an order can be promised: what may come is drawn through its plan a thousand times.
 *
 * @param due s from the midnight of the day the plan begins
 *
 * @example
 * promiseOf(input, spread, null).fourInFive // later than planned, four times in five earlier than this
 */
export function promiseOf(input: BatchInput, spread: Spread, seed = 1): Promised {
  const made = planned(input);
  const due = made.plan.due;
  const finishes = drawnOf(made, input.order, spread, DRAWS, seed);
  const chance = due === null ? null : chanceOf(finishes, due);
  const base = { fourInFive: quantile(finishes, 0.8), chance };
  const raises =
    chance !== null && chance > 0.99
      ? []
      : RAISES.flatMap(({ words, change }) => {
          const changed = change(input);
          if (!changed) return [];
          const again = planned(changed, { rounds: ROUNDS_TO_COMPARE });
          const drawn = drawnOf(again, changed.order, spread, DRAWS_TO_COMPARE, seed);
          const better = {
            words,
            chance: due === null ? 0 : chanceOf(drawn, due),
            fourInFive: quantile(drawn, 0.8)
          };
          const helps =
            chance === null
              ? base.fourInFive - better.fourInFive > 300
              : better.chance - chance > WORTH_TELLING;
          return helps ? [better] : [];
        });
  return {
    planned: made.plan.finish,
    half: quantile(finishes, 0.5),
    fourInFive: base.fourInFive,
    nineteenInTwenty: quantile(finishes, 0.95),
    chance,
    raises: raises.sort((a, b) => b.chance - a.chance || a.fourInFive - b.fourInFive)
  };
}

function drawnOf(made: Planned, order: Order, spread: Spread, draws: number, seed: number): number[] {
  const wanted = order.lines.reduce((sum, line) => sum + line.quantity / line.perFile, 0);
  const stitched = order.lines.reduce((sum, line) => sum + copiesOf(line, order.spoilage), 0);
  return drawFinishes(made, spread, {
    draws,
    copies: Math.ceil(wanted),
    spare: Math.max(0, stitched - Math.ceil(wanted)),
    seed
  });
}

/**
 * The value below which such a share of sorted values lies; 0 where there is none.
 *
 * @example
 * quantile([10, 20, 30, 40, 50], 0.8) // 50
 */
export function quantile(sorted: readonly number[], share: number): number {
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
}

/**
 * Share of values that do not lie above one.
 *
 * @example
 * chanceOf([1, 2, 3, 4], 3) // 0.75
 */
export function chanceOf(sorted: readonly number[], due: number): number {
  return sorted.filter((finish) => finish <= due).length / Math.max(1, sorted.length);
}

/** A shop with one more of each hoop. */
export function withSecondHoops(shop: Shop): Shop {
  return { ...shop, hoops: shop.hoops.map((hoop) => ({ ...hoop, count: (hoop.count ?? 1) + 1 })) };
}

/** A shop where every bobbin lies wound: changing one takes half the time. */
export function withBobbinsWound(shop: Shop): Shop {
  return { ...shop, hands: { ...shop.hands, bobbin: shop.hands.bobbin / 2 } };
}

const RAISES: readonly Raise[] = [
  {
    words: 'A second hoop of each size, loaded while the first is stitched',
    change: (input) => ({ ...input, shop: withSecondHoops(input.shop) })
  },
  {
    words: 'An hour more at the bench every day',
    change: ({ order, ...rest }) =>
      order.bench.to > 1380
        ? null
        : { ...rest, order: { ...order, bench: { ...order.bench, to: order.bench.to + 60 } } }
  },
  {
    words: 'Somebody to help',
    change: ({ order, ...rest }) =>
      order.people >= 8 ? null : { ...rest, order: { ...order, people: order.people + 1 } }
  },
  {
    words: 'Every bobbin wound beforehand',
    change: (input) => ({ ...input, shop: withBobbinsWound(input.shop) })
  },
  {
    words: 'Every machine of the shop, not only those of the order',
    change: ({ order, ...rest }) =>
      order.machineIds.length === 0 ? null : { ...rest, order: { ...order, machineIds: [] } }
  }
];
