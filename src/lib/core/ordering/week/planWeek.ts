import type { Order } from '$lib/core/documents/order';
import {
  type BatchInput,
  type BatchPlan,
  doneByLine,
  planned,
  type Planned,
  secondsBetween,
  wallTimeAt
} from '$lib/core/ordering/day';
import type { Shop } from '$lib/core/documents/shop';
import { decode } from '$lib/core/solvers/schedule';
import { chanceOf, drawnProblem, quantile, type Spread } from '$lib/core/ordering/promise';
import { seeded } from '$lib/core/base/units';
import { mergedOrders, type OpenOrder, orderOfLine } from './merged';

/** What a week is planned from. */
export interface WeekInput {
  orders: readonly OpenOrder[];
  items: BatchInput['items'];
  shop: BatchInput['shop'];
  /** Single items under way: their machine has no other work for so many seconds. */
  busy?: readonly { machineId: string; name: string; seconds: number }[];
  /** Hours of the workroom, how many work there, and when it begins. */
  room: Pick<Order, 'from' | 'bench' | 'people'>;
}

/** What the week says of one order. */
export interface WeekOrder {
  orderId: string;
  name: string;
  /** s from the midnight the week begins. */
  finish: number;
  due: number | null;
  /** Done one time in two, four in five, nineteen in twenty, and the chance of its due date; null until it is drawn. */
  half: number | null;
  fourInFive: number | null;
  nineteenInTwenty: number | null;
  chance: number | null;
}

/** Orders that the maker has put before or after the others. */
const GOES = { first: -1, 'in-turn': 0, last: 1 } as const;

/** All open orders together. */
export interface WeekPlan {
  plan: BatchPlan;
  orders: WeekOrder[];
}

/** A second an order is late weighs as much as so many at the end of the week. */
const LATE = 20;
/** A second that the first order is done sooner weighs as much as this of the end of the week; the second’s half of it. */
const SOON = 0.5;
/** An order without a date goes after those with one. */
const NO_DATE = 1e9;

/**
 * Plans all open orders over the same machines, hoops and hands: those with the nearest date go first where that makes fewer
 * of them late, and where a machine would wait the next order goes on.
 *
 * @returns null where nothing is open
 *
 * @example
 * planWeek({ orders: [{ order: gala }, { order: market }], items, shop, room })?.orders[0]?.finish
 */
export function planWeek(input: WeekInput, spread?: Spread, rounds?: number): WeekPlan | null {
  const { orders, items, room } = input;
  const merged = mergedOrders(orders, items, withoutBusy(input), room);
  if (!merged) return null;
  const dueOf = new Map(
    orders.map(({ order }) => [order.id, order.due === null ? null : secondsBetween(room.from, order.due)])
  );
  const goes = new Map(orders.map(({ order }) => [order.id, GOES[order.goes ?? 'in-turn']]));
  const ranks = [...dueOf]
    .toSorted(
      ([a, dueA], [b, dueB]) =>
        (goes.get(a) ?? 0) - (goes.get(b) ?? 0) || (dueA ?? NO_DATE) - (dueB ?? NO_DATE)
    )
    .map(([id]) => id);
  const made = planned(merged, {
    ...(rounds !== undefined && { rounds }),
    prefer: {
      fixed: orders.some(({ order }) => order.goes !== undefined),
      rank: (lineId) => ranks.indexOf(orderOfLine(lineId)),
      cost: (doneAt, schedule) =>
        schedule.finish +
        [...byOrder(doneAt)].reduce((sum, [id, at]) => {
          const due = dueOf.get(id) ?? null;
          return (
            sum + (due === null ? 0 : LATE * Math.max(0, at - due)) + (SOON / (1 + ranks.indexOf(id))) * at
          );
        }, 0)
    }
  });
  const ends = endsIn(made.problem, made.linesOf, decode(made.problem, made.decisions, true));
  const drawn = spread ? drawEnds(made, spread) : null;
  return {
    plan: made.plan,
    orders: orders
      .map(({ order }): WeekOrder => {
        const due = dueOf.get(order.id) ?? null;
        const own = drawn?.get(order.id) ?? null;
        return {
          orderId: order.id,
          name: order.name,
          finish: ends.get(order.id) ?? made.plan.start,
          due,
          half: own ? quantile(own, 0.5) : null,
          fourInFive: own ? quantile(own, 0.8) : null,
          nineteenInTwenty: own ? quantile(own, 0.95) : null,
          chance: own && due !== null ? chanceOf(own, due) : null
        };
      })
      .sort((a, b) => (a.due ?? NO_DATE) - (b.due ?? NO_DATE) || a.finish - b.finish)
  };
}

/** The shop with machines away for as long as a single item is under way on them. */
function withoutBusy({ shop, busy = [], room }: WeekInput): Shop {
  if (busy.length === 0) return shop;
  const { workroom = { daysOff: [], otherHours: [], away: [] } } = shop;
  const start = secondsBetween(room.from, room.from);
  const taken = busy
    .filter(({ seconds }) => seconds > 0)
    .map(({ machineId, seconds }) => ({
      machineId,
      from: room.from,
      to: wallTimeAt(room.from, start + Math.max(60, seconds))
    }));
  return { ...shop, workroom: { ...workroom, away: [...workroom.away, ...taken] } };
}

function byOrder(doneAt: ReadonlyMap<string, number>): Map<string, number> {
  const done = new Map<string, number>();
  for (const [lineId, at] of doneAt) {
    const id = orderOfLine(lineId);
    done.set(id, Math.max(done.get(id) ?? 0, at));
  }
  return done;
}

/** When each order is done: what is washed together is waited for by all that is washed. */
function endsIn(
  problem: Planned['problem'],
  linesOf: Planned['linesOf'],
  schedule: ReturnType<typeof decode>
): Map<string, number> {
  return byOrder(doneByLine(problem, linesOf, schedule));
}

const DRAWS = 300;

/** When each order may be done, drawn through the plan; the earliest first. */
function drawEnds({ problem, decisions, linesOf }: Planned, spread: Spread): Map<string, number[]> {
  const random = seeded(1);
  const ends = new Map<string, number[]>();
  for (let draw = 0; draw < DRAWS; draw++) {
    const drawn = drawnProblem(problem, spread, random);
    const done = endsIn(drawn, linesOf, decode(drawn, decisions, true));
    for (const [id, at] of done) {
      const own = ends.get(id);
      if (own) own.push(at);
      else ends.set(id, [at]);
    }
  }
  for (const own of ends.values()) own.sort((a, b) => a - b);
  return ends;
}
