import { stepDoes } from '$lib/core/craft/operations';
import { formatLength, formatSize, formatThread, type LengthUnit } from '$lib/core/base/units';
import { HARDWARE, comparedName } from '$lib/core/documents/item';
import type { CutPiece } from '$lib/core/documents/plan';
import type { CountedEntry, StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import { sameName } from '$lib/core/preparing/stash';
import { spoolHolds } from '$lib/core/preparing/threads';
import { isZip, type Want } from './demand';
import type { MaterialPlan } from './result';

/** One line of the shopping list. */
export interface ShoppingRow {
  what: 'cloth' | 'zip' | 'thread' | 'notion';
  name: string;
  colour: string | null;
  /** What is needed, and what there is of it. */
  need: string;
  have: string;
  /** What to ask for in the shop. */
  buy: string;
  cost: number | null;
}

type Hardware = (typeof HARDWARE)[number];

/** What one fastening takes, by the names it is sold under. */
const NOTIONS: Record<Hardware, readonly [name: string, count: number][]> = {
  snap: [
    ['Snap cap', 2],
    ['Snap socket', 1],
    ['Snap stud', 1]
  ],
  eyelet: [['Eyelet', 1]],
  'split-ring': [['Split ring', 1]],
  'ribbon-loop': [['Ribbon loop', 1]],
  'hook-and-loop': [['Hook-and-loop fastener, pair', 1]]
};

/**
 * What to buy for some items, less what the stash holds. Each line is in the steps the shop sells.
 *
 * @param plans the cutting plan of all of them together
 * @param spools wanted of a colour by its compared name, where several heads want one each
 */
export function shoppingList(
  wants: readonly Want[],
  plans: readonly MaterialPlan[],
  stash: readonly StashEntry[],
  unit: LengthUnit,
  spools: ReadonlyMap<string, number> = new Map()
): ShoppingRow[] {
  return [
    ...clothRows(plans, unit),
    ...zipRows(wants, stash, unit),
    ...threadRows(wants, stash, spools, unit),
    ...notionRows(wants, stash)
  ];
}

function clothRows(plans: readonly MaterialPlan[], unit: LengthUnit): ShoppingRow[] {
  return plans.flatMap(({ material, buy, cloths, unplaced }): ShoppingRow[] => {
    const pieces = cloths.flatMap(({ strips }) =>
      strips.flatMap(({ strip }) => strip.columns.flatMap((column) => column.pieces))
    ).length;
    const missing = unplaced.reduce((sum, { count }) => sum + count, 0);
    const base = { what: 'cloth' as const, name: material.name, colour: material.colour };
    const rows: ShoppingRow[] = [];
    if (buy) {
      const bought = cloths.filter(({ cloth }) => cloth.bought);
      const used = bought.reduce((sum, cloth) => sum + cloth.used, 0);
      const { offer } = buy;
      rows.push({
        ...base,
        need:
          offer.by === 'sheet'
            ? `${bought.length} of ${formatSize(offer, unit)}`
            : `${formatLength(used, unit)} of ${formatLength(offer.width, unit)} wide`,
        have: bought.length < cloths.length ? 'some, used up first' : 'none that fits',
        buy:
          offer.by === 'length'
            ? `${buy.count} × ${formatLength(offer.height, unit)} = ${formatLength(buy.mm, unit)}`
            : `${buy.count} × ${offer.name}`,
        cost: buy.cost
      });
    }
    if (missing > 0)
      rows.push({
        ...base,
        need: `${missing} of ${pieces + missing} pieces`,
        have: 'no cloth takes them',
        buy: unplaced[0]?.wayOut ?? '',
        cost: null
      });
    return rows;
  });
}

function zipRows(wants: readonly Want[], stash: readonly StashEntry[], unit: LengthUnit): ShoppingRow[] {
  const needs = new Map<string, { cut: CutPiece; length: number; count: number }>();
  for (const { plan, copies } of wants)
    for (const cut of plan.cuts.filter(({ material }) => isZip(material))) {
      const length = Math.max(cut.cut.width, cut.cut.height);
      const key = `${cut.material.name} ${length}`;
      const count = (cut.count / plan.copies) * copies;
      needs.set(key, { cut, length, count: (needs.get(key)?.count ?? 0) + count });
    }
  const zips = stash.filter((entry): entry is CountedEntry => entry.what === 'zip');
  const left = new Map(zips.map(({ id, count }) => [id, count]));
  // The longest first, each from the shortest zip that does.
  return [...needs.values()]
    .sort((a, b) => b.length - a.length)
    .flatMap(({ cut, length, count }): ShoppingRow[] => {
      let missing = count;
      const fitting = zips
        .filter((zip) => sameName(zip.name, cut.material.name) && (zip.length ?? 0) >= length)
        .sort((a, b) => (a.length ?? 0) - (b.length ?? 0));
      for (const { id } of fitting) {
        const times = Math.min(missing, left.get(id) ?? 0);
        left.set(id, (left.get(id) ?? 0) - times);
        missing -= times;
      }
      const price = fitting.find((zip) => zip.price !== null)?.price ?? null;
      if (missing <= 0) return [];
      return [
        {
          what: 'zip',
          name: `${cut.material.name}, ${formatLength(length, unit)} or longer`,
          colour: cut.material.colour,
          need: String(count),
          have: String(count - missing),
          buy: String(missing),
          cost: price === null ? null : price * missing
        }
      ];
    });
}

function threadRows(
  wants: readonly Want[],
  stash: readonly StashEntry[],
  spools: ReadonlyMap<string, number>,
  unit: LengthUnit
): ShoppingRow[] {
  const needs = new Map<string, { name: string; colour: string; metres: number }>();
  for (const { plan, copies } of wants)
    for (const { thread, upperMetres } of plan.threads) {
      const key = comparedName(thread.name);
      const before = needs.get(key)?.metres ?? 0;
      needs.set(key, { name: thread.name, colour: thread.colour, metres: before + upperMetres * copies });
    }
  const threads = stash.filter((entry): entry is ThreadEntry => entry.what === 'thread');
  return [...needs].flatMap(([key, { name, colour, metres }]): ShoppingRow[] => {
    const own = threads.filter((entry) => sameName(entry.name, name));
    const have = own.reduce((sum, entry) => sum + entry.metres, 0);
    const there = own.reduce((sum, entry) => sum + entry.spools, 0);
    const holds = spoolHolds({ metres: have, spools: there });
    // A spool serves one head: as many as stitch at once, and as many as the metres fill.
    const buy = Math.max(Math.ceil((metres - have) / holds - 1e-9), (spools.get(key) ?? 1) - there, 0);
    if (buy === 0) return [];
    const price = own.find((entry) => entry.price !== null)?.price ?? null;
    return [
      {
        what: 'thread',
        name,
        colour,
        need: formatThread(metres, unit),
        have: own.length === 0 ? 'none' : formatThread(have, unit),
        buy: `${buy} ${buy === 1 ? 'spool' : 'spools'} of ${formatThread(holds, unit)}`,
        cost: price === null ? null : price * buy
      }
    ];
  });
}

function notionRows(wants: readonly Want[], stash: readonly StashEntry[]): ShoppingRow[] {
  const needs = new Map<string, number>();
  // Things bought finished go by what they are called.
  for (const { plan, copies } of wants)
    for (const { readyMade, material, count } of plan.cuts)
      if (readyMade === true)
        needs.set(material.name, (needs.get(material.name) ?? 0) + (count / plan.copies) * copies);
  for (const { item, copies } of wants)
    for (const step of item.steps) {
      const set = stepDoes(step, 'fit');
      for (const [name, each] of set ? NOTIONS[set.what] : [])
        needs.set(name, (needs.get(name) ?? 0) + each * (set?.count ?? 0) * copies);
    }
  const notions = stash.filter((entry): entry is CountedEntry => entry.what === 'notion');
  return [...needs].flatMap(([name, count]): ShoppingRow[] => {
    const own = notions.filter((entry) => sameName(entry.name, name));
    const have = own.reduce((sum, entry) => sum + entry.count, 0);
    if (have >= count) return [];
    const price = own.find((entry) => entry.price !== null)?.price ?? null;
    return [
      {
        what: 'notion',
        name,
        colour: null,
        need: String(count),
        have: String(have),
        buy: String(count - have),
        cost: price === null ? null : price * (count - have)
      }
    ];
  });
}
