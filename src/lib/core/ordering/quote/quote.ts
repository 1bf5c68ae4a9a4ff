import { isStabiliserKind } from '$lib/core/documents/item';
import type { Order, Rates } from '$lib/core/documents/order';
import type { StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import type { BatchPlan } from '$lib/core/ordering/day';
import { isBought, type MaterialPlan, type PlannedCloth, shoppingList } from '$lib/core/preparing/cutting';
import { sameName } from '$lib/core/preparing/stash';
import { lineOfPiece, type LineWant } from './needs';

/** What a line costs, in the order’s currency. */
export interface LineCost {
  lineId: string;
  name: string;
  /** Pieces that are sold. */
  pieces: number;
  material: number;
  stabiliser: number;
  thread: number;
  notions: number;
  machine: number;
  hands: number;
  overhead: number;
  /** All of it. */
  cost: number;
  /** Of the cost: what goes into pieces that usually come out bad. */
  spoilage: number;
  /** For one piece: cost, cost with the margin, and what is quoted; the suggestion where nothing is. */
  costEach: number;
  suggested: number;
  price: number;
  quoted: boolean;
  revenue: number;
  /** What an hour of hands earns once all else is paid. */
  earnsHour: number;
}

/** The cost of an order, and what it brings. */
export interface Quote {
  lines: LineCost[];
  total: Omit<LineCost, 'lineId' | 'name' | 'price' | 'quoted' | 'costEach' | 'suggested'>;
  /** Things that are priced by the order’s general rates, since neither stash nor shop has a price. */
  guessed: string[];
}

/** What a quote is made from. */
export interface QuoteInput {
  order: Order;
  plan: BatchPlan;
  /** Cloth of the whole order as it is cut. */
  cuts: readonly MaterialPlan[];
  wants: readonly LineWant[];
  stash: readonly StashEntry[];
}

/**
 * What an order costs: cloth and stabiliser with their waste, thread, notions, hours of machines and of hands; then the
 * overhead on all of it and the margin on that. Pieces that come out bad are made as well, so they are in the cost. A quoted
 * price stays what it is: whatever changes in the workroom changes the cost alone.
 *
 * @example
 * quoteOf(input).lines[0]?.suggested // 14.2
 */
export function quoteOf(input: QuoteInput): Quote {
  const { order, plan } = input;
  const { rates } = order;
  const guessed = new Set<string>();
  const cloth = clothCosts(input, rates, guessed);
  const notions = notionCosts(input);
  const lines = order.lines.flatMap((line): LineCost[] => {
    const planned = plan.lines.find(({ lineId }) => lineId === line.id);
    if (!planned) return [];
    const time = timesOf(plan, line.id);
    const parts = {
      material: cloth.get(`${line.id} cloth`) ?? 0,
      stabiliser: cloth.get(`${line.id} stabiliser`) ?? 0,
      thread: threadCost(input, line.id, rates, guessed),
      notions: notions.get(line.id) ?? 0,
      machine: (time.machine / 3600) * rates.machineHour,
      hands: (time.hands / 3600) * rates.handsHour
    };
    const direct = Object.values(parts).reduce((sum, part) => sum + part, 0);
    const overhead = (direct * rates.overhead) / 100;
    const cost = direct + overhead;
    const pieces = line.quantity;
    const made = Math.max(pieces, planned.copies * line.perFile);
    const suggested = (cost / pieces) * (1 + rates.margin / 100);
    const price = line.price ?? suggested;
    const revenue = price * pieces;
    return [
      {
        lineId: line.id,
        name: planned.name,
        pieces,
        ...parts,
        overhead,
        cost,
        spoilage: cost * (1 - pieces / made),
        costEach: cost / pieces,
        suggested,
        price,
        quoted: line.price !== null,
        revenue,
        earnsHour: earns(revenue, cost, parts.hands, time.hands)
      }
    ];
  });
  const sum = (key: Exclude<keyof LineCost, 'lineId' | 'name' | 'quoted'>): number =>
    lines.reduce((total, each) => total + each[key], 0);
  const hands = order.lines.reduce((total, { id }) => total + timesOf(plan, id).hands, 0);
  return {
    lines,
    total: {
      pieces: sum('pieces'),
      material: sum('material'),
      stabiliser: sum('stabiliser'),
      thread: sum('thread'),
      notions: sum('notions'),
      machine: sum('machine'),
      hands: sum('hands'),
      overhead: sum('overhead'),
      cost: sum('cost'),
      spoilage: sum('spoilage'),
      revenue: sum('revenue'),
      earnsHour: earns(sum('revenue'), sum('cost'), sum('hands'), hands)
    },
    guessed: [...guessed].sort()
  };
}

/** What is left for an hour of hands when all else is paid. */
function earns(revenue: number, cost: number, hands: number, seconds: number): number {
  return seconds > 0 ? (revenue - (cost - hands)) / (seconds / 3600) : 0;
}

/**
 * Hands and machine time of a line, s. What several lines share at the table is split by their copies; a machine counts
 * from the first hand on it to the last.
 */
function timesOf({ tasks, hoopings }: BatchPlan, lineId: string): { hands: number; machine: number } {
  const own = new Set(hoopings.flatMap((each) => (each.lineId === lineId ? each.id : [])));
  const copies = hoopings.reduce((sum, each) => sum + each.copies, 0);
  const share =
    copies > 0
      ? hoopings.reduce((sum, each) => sum + (each.lineId === lineId ? each.copies : 0), 0) / copies
      : 0;
  let [hands, machine] = [0, 0];
  for (const { kind, hoopingId, stationId, person, from, to } of tasks) {
    const part = hoopingId === null ? share : Number(own.has(hoopingId));
    if (person !== null) hands += (to - from) * part;
    // A hoop is loaded at the table, for a machine that does something else.
    if (stationId !== null && kind !== 'load') machine += (to - from) * part;
  }
  return { hands, machine };
}

/** Cost of cloth and of stabiliser by line: each cloth’s cost goes to the pieces on it by their area, its waste with them. */
function clothCosts({ cuts, stash }: QuoteInput, rates: Rates, guessed: Set<string>): Map<string, number> {
  const costs = new Map<string, number>();
  for (const { cloths, material, buy } of cuts) {
    const bought = cloths.filter(({ cloth }) => isBought(cloth.id)).length;
    const kind = isStabiliserKind(material.kind) ? 'stabiliser' : 'cloth';
    for (const planned of cloths) {
      const areas = new Map<string, number>();
      let all = 0;
      for (const { strip } of planned.strips)
        for (const { pieces } of strip.columns)
          for (const { key, width, height } of pieces) {
            const lineId = lineOfPiece(key);
            areas.set(lineId, (areas.get(lineId) ?? 0) + width * height);
            all += width * height;
          }
      if (all === 0) continue;
      const own =
        buy?.cost != null && planned.cloth.bought ? buy.cost / Math.max(1, bought) : ownCost(planned, stash);
      if (own === null) guessed.add(material.name);
      const cost = own ?? (usedArea(planned) / 1e6) * rates.clothM2;
      for (const [lineId, area] of areas) {
        const key = `${lineId} ${kind}`;
        costs.set(key, (costs.get(key) ?? 0) + (cost * area) / all);
      }
    }
  }
  return costs;
}

/** What is cut off a cloth, mm²: all of it that is no good for anything else. */
function usedArea({ cloth, used, along }: PlannedCloth): number {
  return used * (along ? (cloth.height ?? cloth.width) : cloth.width);
}

/** Price of what is taken of a cloth of the stash: by length where it is sold so, else by its share of the piece. */
function ownCost(planned: PlannedCloth, stash: readonly StashEntry[]): number | null {
  const entry = stash.find(({ id }) => id === planned.entryId);
  if (entry?.what !== 'cloth' || entry.price === null) return null;
  const { width, height, form, price } = entry;
  const share = usedArea(planned) / (width * height);
  return form === 'length' || form === 'roll'
    ? price * ((share * height) / 1000)
    : price * Math.min(1, share);
}

function threadCost(
  { wants, stash }: QuoteInput,
  lineId: string,
  rates: Rates,
  guessed: Set<string>
): number {
  const want = wants.find((each) => each.lineId === lineId);
  if (!want) return 0;
  const upper = want.plan.threads.reduce((sum, { thread, upperMetres }) => {
    const own = stash.find(
      (entry): entry is ThreadEntry => entry.what === 'thread' && sameName(entry.name, thread.name)
    );
    const perSpool = own && own.spools > 0 ? own.metres / own.spools : 0;
    if (own?.price == null || perSpool === 0) guessed.add(`${thread.name} thread`);
    return (
      sum + upperMetres * (own?.price != null && perSpool > 0 ? own.price / perSpool : rates.threadKm / 1000)
    );
  }, 0);
  return (upper + (want.plan.bobbinMetres * rates.threadKm) / 1000) * want.copies;
}

/** Zips, snaps and other notions by line, at what the stash says they cost; those without a price cost nothing here. */
function notionCosts({ wants, stash, plan }: QuoteInput): Map<string, number> {
  const none = stash.map((entry) =>
    'count' in entry && entry.what !== 'cloth' ? { ...entry, count: 0 } : entry
  );
  return new Map(
    wants.map((want) => [
      want.lineId,
      plan.hoopings.length === 0
        ? 0
        : shoppingList([want], [], none, 'mm').reduce(
            (sum, { what, cost }) => sum + (what === 'zip' || what === 'notion' ? (cost ?? 0) : 0),
            0
          )
    ])
  );
}

/** Price of one piece for a quantity. */
export interface QuantityPrice {
  quantity: number;
  cost: number;
  price: number;
}

/**
 * What one piece costs by quantity: hands and machine of its hoopings with one set-up for each size of hooping, material
 * and thread as they are in this order. Times are those of hoopings by themselves, brought to what the plan of this order
 * takes, so that the ordered quantity costs what the quote says.
 */
export function priceByQuantity(
  { material, stabiliser, thread, notions, machine, hands: handsCost, pieces }: LineCost,
  times: BatchPlan['lines'][number]['byQuantity'],
  rates: Rates
): QuantityPrice[] {
  const matter = (material + stabiliser + thread + notions) / pieces;
  const timeCost = (time: { hands: number; machine: number }): number =>
    (time.hands / 3600) * rates.handsHour + (time.machine / 3600) * rates.machineHour;
  const ordered = times.find(({ quantity }) => quantity === pieces);
  const alone = ordered ? timeCost(ordered) : 0;
  const planned = alone > 0 ? (machine + handsCost) / alone : 1;
  return times.map((time) => {
    const cost = (matter + (timeCost(time) * planned) / time.quantity) * (1 + rates.overhead / 100);
    return { quantity: time.quantity, cost, price: cost * (1 + rates.margin / 100) };
  });
}

/**
 * What an hour of hands really earned, from the hands that runs of the order took.
 *
 * @param seconds hands of its runs that are over, s
 *
 * @example
 * earnedReally({ revenue: 100, cost: 60, hands: 30 }, 7200) // 35: 100 less 30 that went elsewhere, in two hours
 */
export function earnedReally(
  { revenue, cost, hands }: Pick<LineCost, 'revenue' | 'cost' | 'hands'>,
  seconds: number
): number {
  return earns(revenue, cost, hands, seconds);
}
