import { comparedName, type Material } from '$lib/core/documents/item';
import type { ClothEntry, StashEntry } from '$lib/core/documents/stash';
import type { BatchInput, BatchPlan } from '$lib/core/ordering/day';
import { orderDemands, orderThreads } from '$lib/core/ordering/quote';
import { isUnseen, serves } from '$lib/core/preparing/stash';
import { orderOfLine, weekLine } from './merged';
import type { WeekInput } from './planWeek';

/** Something of the stash that orders share: each takes its part in the order in which they begin. */
export interface Reserved {
  what: 'cloth' | 'thread' | 'bobbins';
  name: string;
  /** In the stash: mm² of cloth, m of thread; bobbins are wound, so none of them. */
  have: number;
  parts: { orderId: string; needs: number; takes: number }[];
  /** The first order it does not last for: how much is missing in all, and when that is noticed, s from the midnight. */
  short: { orderId: string; missing: number; at: number } | null;
  /** Spools that lack because so many are on machines or heads at once, though the metres may do. */
  spoolsShort: number;
}

/** Cloth that cannot be used between the pieces cut from it, as a share of them. */
const LOSS = 0.1;

interface Need {
  what: Reserved['what'];
  key: string;
  name: string;
  amount: number;
  have: number;
  spoolsShort: number;
}

/**
 * What each open order takes of the stash, the one that begins first before the others, and what runs short when. Cloth is
 * reckoned by its area; the cutting plan of an order says it exactly.
 *
 * @param plan of the whole week
 * @param measured what logged run-outs measured of the bobbins
 *
 * @example
 * reservedByOrder(input, week.plan, stash, [])[0]?.short // { orderId: 'market', missing: 40, at: 57600 }
 */
export function reservedByOrder(
  { orders, items, shop }: WeekInput,
  plan: BatchPlan,
  stash: readonly StashEntry[],
  measured: readonly number[]
): Reserved[] {
  const starts = new Map<string, number>();
  for (const { lineId, from } of plan.hoopings) {
    const id = orderOfLine(lineId);
    starts.set(id, Math.min(starts.get(id) ?? Infinity, from));
  }
  const inTurn = orders
    .filter(({ order }) => starts.has(order.id))
    .toSorted((a, b) => (starts.get(a.order.id) ?? 0) - (starts.get(b.order.id) ?? 0));
  const found = new Map<string, Reserved>();
  for (const { order } of inTurn) {
    const lines = order.lines.map((line) => ({ ...line, id: weekLine(order.id, line.id) }));
    for (const need of needsOf({ order: { ...order, lines }, items, shop }, plan, stash, measured)) {
      const row = found.get(need.key) ?? {
        what: need.what,
        name: need.name,
        have: need.have,
        parts: [],
        short: null,
        spoolsShort: 0
      };
      found.set(need.key, row);
      // Spools are not used up: what one order has on its heads the next has again.
      row.spoolsShort = Math.max(row.spoolsShort, need.spoolsShort);
      const left = row.have - row.parts.reduce((sum, { takes }) => sum + takes, 0);
      const takes = row.what === 'bobbins' ? need.amount : Math.min(need.amount, Math.max(0, left));
      row.parts.push({ orderId: order.id, needs: need.amount, takes });
      const missing = need.amount - takes;
      if (missing <= 0) continue;
      if (row.short) row.short.missing += missing;
      else row.short = { orderId: order.id, missing, at: whenOut(plan, order.id, takes / need.amount) };
    }
  }
  return [...found.values()];
}

function needsOf(
  input: BatchInput,
  plan: BatchPlan,
  stash: readonly StashEntry[],
  measured: readonly number[]
): Need[] {
  const cloths = stash.filter((entry): entry is ClothEntry => entry.what === 'cloth');
  const needs = new Map<string, Need>();
  const add = (bare: Omit<Need, 'spoolsShort'> & Partial<Need>): void => {
    const need = { spoolsShort: 0, ...bare };
    const known = needs.get(need.key);
    needs.set(need.key, known ? { ...known, amount: known.amount + need.amount } : need);
  };
  for (const { material, cut, count } of orderDemands(input, plan, cloths))
    add({
      what: 'cloth',
      key: clothKey(material),
      name: material.name,
      amount: cut.width * cut.height * count * (1 + LOSS),
      have: cloths.filter((entry) => serves(entry, material)).reduce((sum, entry) => sum + areaOf(entry), 0)
    });
  const { threads, bobbins } = orderThreads(input, plan, stash, measured);
  for (const { name, upper, bobbin, have, lacksSpools } of threads)
    add({
      what: 'thread',
      key: `thread ${comparedName(name)}`,
      name,
      amount: upper + bobbin,
      have: have?.metres ?? 0,
      spoolsShort: lacksSpools
    });
  for (const { name, bobbins: count } of bobbins)
    add({ what: 'bobbins', key: `bobbins ${comparedName(name)}`, name, amount: count, have: 0 });
  return [...needs.values()];
}

/** Stabilisers of one kind serve each other whatever they are called. */
function clothKey({ kind, name }: Material): string {
  return isUnseen(kind) ? `cloth ${kind}` : `cloth ${kind} ${comparedName(name)}`;
}

function areaOf({ width, height, count, stitched }: ClothEntry): number {
  const used = stitched.reduce((sum, part) => sum + part.width * part.height, 0);
  return Math.max(0, width * height * count - used);
}

/** The hooping of an order that finds its share used up. */
function whenOut({ hoopings, start }: BatchPlan, orderId: string, share: number): number {
  const own = hoopings
    .filter(({ lineId }) => orderOfLine(lineId) === orderId)
    .toSorted((a, b) => a.from - b.from);
  const all = own.reduce((sum, { copies }) => sum + copies, 0);
  let done = 0;
  for (const { copies, from } of own) {
    done += copies;
    if (done > share * all) return from;
  }
  return own.at(-1)?.from ?? start;
}
