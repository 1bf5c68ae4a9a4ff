import type { Shop } from '$lib/core/documents/shop';
import { wallTimeAt, weekdayOf } from '$lib/core/ordering/day';
import { type Spread, withBobbinsWound, withSecondHoops } from '$lib/core/ordering/promise';
import { DAY_S } from '$lib/core/solvers/schedule';
import { planWeek, type WeekInput, type WeekOrder } from './planWeek';

/** Something that would bring an order of the week forward. */
export type Raise =
  | { do: 'leave'; orderId: string; from: string }
  | { do: 'hours'; day: string; from: number; to: number }
  | { do: 'hoops' }
  | { do: 'bobbins' }
  | { do: 'help' };

/** A way to bring an order forward, planned and drawn anew. */
export interface Raised {
  raise: Raise;
  /** Chance of the date, and when it is done four times in five, s from the midnight the week begins. */
  chance: number;
  fourInFive: number;
}

/** Days on which an hour more is tried, and other orders that could be left for later. */
const MOST_DAYS = 3;
const MOST_ORDERS = 4;
/** A way that raises the chance by less, and ends it hardly sooner, s, is not told. */
const WORTH_TELLING = 0.02;
const WORTH_TELLING_S = 900;
const ROUNDS = 200;
const HOUR_MIN = 60;
/** Days looked through for the next on which the workroom is open. */
const DAYS_AHEAD = 60;

/**
 * What would raise the chance that an order of the week is done when it is due: another order left until after it, an hour more
 * on a day before, hoops, bobbins or hands. Each is planned with the whole week and drawn through its plan, the best first.
 *
 * @returns none where the order has no date, or is none of this week
 *
 * @example
 * raisesOf(input, spread, 'gala')[0]?.raise // { do: 'leave', orderId: 'market', from: '2026-11-30T09:00' }
 */
export function raisesOf(input: WeekInput, spread: Spread, orderId: string): Raised[] {
  const tell = (of: WeekInput): WeekOrder[] => planWeek(of, spread, ROUNDS)?.orders ?? [];
  const own = (orders: readonly WeekOrder[]): WeekOrder | undefined =>
    orders.find((each) => each.orderId === orderId);
  const due = input.orders.find(({ order }) => order.id === orderId)?.order.due ?? null;
  const now = own(tell(input));
  if (due === null || !now || now.chance === null || now.fourInFive === null) return [];
  const { chance: chanceNow, fourInFive: endNow } = now;
  return possible(input, orderId, due)
    .flatMap((raise): Raised[] => {
      const orders = tell(raised(input, raise));
      const { chance = null, fourInFive = null } = own(orders) ?? {};
      if (chance === null || fourInFive === null) return [];
      // No order is left so long that it is late itself.
      const left = raise.do === 'leave' ? orders.find((each) => each.orderId === raise.orderId) : undefined;
      if (left && left.due !== null && left.finish > left.due) return [];
      const helps = chance - chanceNow > WORTH_TELLING || endNow - fourInFive > WORTH_TELLING_S;
      return helps ? [{ raise, chance, fourInFive }] : [];
    })
    .sort((a, b) => b.chance - a.chance || a.fourInFive - b.fourInFive);
}

/**
 * A week with one thing changed.
 *
 * @example
 * raised(input, { do: 'help' }).room.people // one more
 */
export function raised(input: WeekInput, raise: Raise): WeekInput {
  const { shop, room } = input;
  if (raise.do === 'leave') {
    const orders = input.orders.map((each) =>
      each.order.id === raise.orderId ? { ...each, order: { ...each.order, from: raise.from } } : each
    );
    return { ...input, orders };
  }
  if (raise.do === 'help') return { ...input, room: { ...room, people: room.people + 1 } };
  if (raise.do === 'hours') return { ...input, shop: withHours(shop, raise) };
  return { ...input, shop: raise.do === 'hoops' ? withSecondHoops(shop) : withBobbinsWound(shop) };
}

/**
 * The shop with other hours on one day, minutes from midnight.
 *
 * @example
 * withHours(shop, { day: '2026-11-27', from: 540, to: 1140 }) // open until 19:00 on that day
 */
export function withHours<T extends Pick<Shop, 'workroom'>>(
  shop: T,
  { day, from, to }: { day: string; from: number; to: number }
): T {
  const { workroom = { daysOff: [], otherHours: [], away: [] } } = shop;
  const others = workroom.otherHours.filter((each) => each.day !== day);
  return { ...shop, workroom: { ...workroom, otherHours: [...others, { day, from, to }] } };
}

function possible(input: WeekInput, orderId: string, due: string): Raise[] {
  const { orders, room } = input;
  const open = openDays(input);
  const after = open.find(({ day }) => day > due.slice(0, 10));
  const others = orders
    .filter(({ order, progress }) => order.id !== orderId && (progress?.begun.length ?? 0) === 0)
    // What is due before must not wait for what is due later.
    .filter(({ order }) => order.due === null || order.due > due)
    .slice(0, MOST_ORDERS);
  const at = (minute: number): string => wallTimeAt(room.from, minute * 60).slice(11);
  return [
    ...others.flatMap(({ order }): Raise[] =>
      after && order.from < due
        ? [{ do: 'leave', orderId: order.id, from: `${after.day}T${at(after.from)}` }]
        : []
    ),
    ...open
      .filter(({ day, to }) => day <= due.slice(0, 10) && to + HOUR_MIN <= 24 * HOUR_MIN)
      .slice(0, MOST_DAYS)
      .map(({ day, from, to }): Raise => ({ do: 'hours', day, from, to: to + HOUR_MIN })),
    { do: 'hoops' },
    { do: 'bobbins' },
    ...(room.people < 8 ? [{ do: 'help' as const }] : [])
  ];
}

/** Days on which the workroom is open, with their hours, from the first of the week on. */
function openDays({ room, shop: { workroom } }: WeekInput): { day: string; from: number; to: number }[] {
  const off = new Set(workroom?.daysOff);
  return Array.from({ length: DAYS_AHEAD }, (_, at) => wallTimeAt(room.from, at * DAY_S)).flatMap((wall) => {
    const day = wall.slice(0, 10);
    const other = workroom?.otherHours.find((each) => each.day === day);
    if (off.has(day) || !(other || room.bench.days.includes(weekdayOf(wall)))) return [];
    const { from, to } = other ?? room.bench;
    return [{ day, from, to }];
  });
}
