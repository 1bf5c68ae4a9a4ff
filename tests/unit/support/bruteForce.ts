import { seeded } from '$lib/core/base/units';
import type { BobbinStop } from '$lib/core/solvers/bobbins';
import type { BobbinOptions } from '$lib/core/solvers/bobbins/types';
import { compareCosts, orderCost, type OrderCost, type OrderTask } from '$lib/core/solvers/stopOrder';

/** The best cost over every order that keeps the precedence: written down plainly, without any short cut. */
export function bruteOrder(tasks: readonly OrderTask[]): OrderCost {
  let best: OrderCost | undefined;
  const go = (order: string[]): void => {
    if (order.length === tasks.length) {
      const cost = orderCost(tasks, order);
      if (!best || compareCosts(cost, best) < 0) best = cost;
      return;
    }
    for (const { id, after } of tasks)
      if (!order.includes(id) && after.every((before) => order.includes(before))) go([...order, id]);
  };
  go([]);
  return best ?? { threads: 0, bobbins: 0, jumps: 0 };
}

/** A file of stops in some colours; some may take any thread, some wait for earlier ones, some need their bobbin. */
export function randomTasks(
  count: number,
  seed: number,
  { colours = 4, wait = 0.25, any = 0.15, bobbins = 0.3, hands = 0.1 } = {}
): OrderTask[] {
  const random = seeded(seed);
  const names = Array.from({ length: colours }, (_, at) => `colour ${at + 1}`);
  return Array.from({ length: count }, (_, at): OrderTask => {
    const thread = names[Math.floor(random() * colours)] ?? null;
    const isHands = random() < hands;
    const matches = random() < bobbins;
    return {
      id: String(at + 1),
      thread: isHands || random() < any ? null : thread,
      bobbin: !isHands && matches ? thread : null,
      place: isHands ? null : { file: 'file', number: at + 1 },
      after: Array.from({ length: at }, (_each, before) => String(before + 1)).filter(
        () => random() < (isHands ? 0.5 : wait)
      )
    };
  });
}

/** What counts of a bobbin plan. */
export interface BobbinCost {
  puts: number;
  leftBehind: number;
}

/** The best bobbin plan by trying every choice at every point, without any short cut. */
export function bruteBobbins(stops: readonly BobbinStop[], options: BobbinOptions): BobbinCost {
  const { capacity, usual, start = null } = options;
  const colours = [...new Set([usual, ...stops.flatMap(({ colour }) => colour ?? [])])];
  type Bobbin = { colour: string; metres: number };
  let best: BobbinCost = { puts: Infinity, leftBehind: Infinity };
  const go = (at: number, into: number, on: Bobbin | null, off: Bobbin[], puts: number): void => {
    if (puts > best.puts) return;
    const stop = stops[at];
    if (!stop) {
      const leftBehind = off.reduce((sum, { metres }) => sum + metres, 0);
      if (puts < best.puts || (puts === best.puts && leftBehind < best.leftBehind))
        best = { puts, leftBehind };
      return;
    }
    const fits = (colour: string): boolean => stop.colour === null || stop.colour === colour;
    if (on && fits(on.colour)) {
      const needs = stop.metres - into;
      if (needs <= on.metres + 1e-6)
        go(at + 1, 0, { ...on, metres: Math.max(0, on.metres - needs) }, off, puts);
      else if (on.metres > 1e-6 && !(stop.protected && stop.metres <= capacity))
        go(at, into + on.metres, { ...on, metres: 0 }, off, puts);
    }
    if (into > 0 && on && on.metres > 1e-6) return;
    const taken = on && on.metres > 1e-6 ? [on] : [];
    for (const colour of colours.filter(fits))
      if (on?.colour !== colour || on.metres < capacity - 1e-6)
        go(at, into, { colour, metres: capacity }, [...off, ...taken], puts + 1);
    off.forEach((again, index) => {
      if (fits(again.colour))
        go(at, into, again, [...off.filter((_, each) => each !== index), ...taken], puts + 1);
    });
  };
  // A full bobbin before every stop is a plan, so nothing worse need be followed.
  best = {
    puts: stops.reduce((sum, { metres }) => sum + 1 + Math.ceil(metres / capacity), 0),
    leftBehind: Infinity
  };
  go(0, 0, start && { ...start }, [], 0);
  return best;
}

/** Stops of an item: a few colours, some protected, most shorter than a bobbin. */
export function randomBobbinStops(
  count: number,
  seed: number
): { stops: BobbinStop[]; options: BobbinOptions } {
  const random = seeded(seed);
  const colours = ['white', 'rust', 'fern'].slice(0, 1 + Math.floor(random() * 3));
  const pick = (): string => colours[Math.floor(random() * colours.length)] ?? 'white';
  const capacity = 40;
  const stops = Array.from({ length: count }, (_, at): BobbinStop => ({
    id: String(at + 1),
    metres: Math.round((random() < 0.12 ? 30 + random() * 40 : 1 + random() * 24) * 10) / 10,
    colour: random() < 0.4 ? pick() : null,
    protected: random() < 0.4
  }));
  const start = random() < 0.5 ? { colour: pick(), metres: Math.round(random() * 400) / 10 } : null;
  return { stops, options: { capacity, usual: 'white', start } };
}
