import { forVariant, type Item } from '$lib/core/documents/item';
import type { OrderLine } from '$lib/core/documents/order';
import { defaultOffers, type Setup } from '$lib/core/documents/shop';
import type { ClothEntry, StashEntry } from '$lib/core/documents/stash';
import { planAndTrace } from '$lib/core/making/plan';
import { cutList } from '$lib/core/craft/sizes';
import type { BatchInput, BatchPlan, PlannedHooping } from '$lib/core/ordering/day';
import { LineContext, stationsOf } from '$lib/core/ordering/hoopings';
import { type Demand, isZip, type PlanCutsInput, shrinkageOf, type Want } from '$lib/core/preparing/cutting';
import { sameName } from '$lib/core/preparing/stash';
import {
  bobbinColourName,
  planItemBobbins,
  type SpoolEnd,
  spoolEnds,
  spoolHolds,
  spoolsFor,
  stationBobbins,
  USUAL
} from '$lib/core/preparing/threads';
import { bobbinUse } from '$lib/core/solvers/bobbins';
import { comparedName } from '$lib/core/documents/item';

/** A thread over the whole order. */
export interface ThreadRow {
  name: string;
  colour: string;
  /** Upper thread, and thread wound on bobbins, m. */
  upper: number;
  bobbin: number;
  /** Spools that are on machines at the same time: one for each head that stitches with it. */
  atOnce: number;
  /** In the stash: m and spools; null for none of the name. */
  have: { metres: number; spools: number } | null;
  /** m that are missing, and spools that are missing because several machines want one. */
  lacks: number;
  lacksSpools: number;
  /** Spools wanted in all: each head has its own, and a new one when that is empty. */
  spools: number;
  /** Where spools run out, on a machine that starts with full ones. */
  ends: (SpoolEnd & { station: string; itemName: string })[];
}

/** Bobbins to wind in one colour. */
export interface BobbinRow {
  name: string;
  metres: number;
  /** Full ones, for every head of every machine. */
  bobbins: number;
}

interface Made {
  line: OrderLine;
  item: Item;
  setup: Setup | undefined;
  hoopings: PlannedHooping[];
  /** Copies through their last stage in this plan. */
  copies: number;
}

/** The lines of an order with what the plan still has to stitch of them. */
function stillToMake({ order, items }: BatchInput, { hoopings }: BatchPlan): Made[] {
  return order.lines.flatMap((line): Made[] => {
    const found = items.find(({ item }) => item.id === line.itemId);
    if (!found) return [];
    const own = hoopings.filter(({ lineId }) => lineId === line.id);
    const copies = own
      .filter(({ stage, stages }) => stage === stages - 1)
      .reduce((sum, each) => sum + each.copies, 0);
    const item = forVariant(found.item, line.variantId ?? found.setup?.variantId);
    return [{ line, item, setup: found.setup, hoopings: own, copies }];
  });
}

/**
 * Every piece of an order that is cut: hooped material once for each hoop that is filled, as large as its ring, and laid
 * pieces once for each copy.
 *
 * @param entries cloth of the stash: what is not washed yet is cut larger by what a wash takes
 */
export function orderDemands(input: BatchInput, plan: BatchPlan, entries: readonly ClothEntry[]): Demand[] {
  const { shop } = input;
  const found = new Map<string, Demand>();
  for (const { line, item, setup, hoopings } of stillToMake(input, plan)) {
    const context = new LineContext(line, item, setup, shop);
    const cloths = new Set<number>();
    for (const hooping of hoopings.filter(({ runId }) => runId === null)) {
      const hoop = shop.hoops.find(({ id }) => id === hooping.hoopId);
      const machine = shop.machines.find(({ id }) => id === hooping.machineId);
      if (!hoop || !machine) continue;
      const stage = context.stagesOf(machine, hoop)[hooping.stage];
      const hooped = new Set(
        item.hoopings.filter(({ id }) => stage?.hoopingIds.includes(id)).flatMap((each) => each.hooped)
      );
      const laid = new Set(stage?.steps.flatMap(({ step }) => piecesOf(step.op)) ?? []);
      // One cloth goes through many hoopings of a border or of corners.
      const first = line.repeats ? !cloths.has(hooping.stage) : true;
      cloths.add(hooping.stage);
      for (const cut of cutList(item, hoop, shop, 1, ({ material, grain }) =>
        shrinkageOf(material, entries, grain === 'any')
      )) {
        if (cut.cutFrom !== null || cut.readyMade === true || isZip(cut.material)) continue;
        const inRing = hooped.has(cut.backs ?? cut.pieceId);
        // In a shared hoop the first item brings what the ring holds.
        const times = inRing
          ? (hooping.shared?.at ?? 0) > 0
            ? 0
            : hooping.heads.length
          : laid.has(cut.backs ?? cut.pieceId)
            ? line.repeats
              ? Number(first) * line.quantity
              : hooping.copies
            : 0;
        if (times === 0) continue;
        const key = pieceKey(line.id, cut.pieceId, ...(inRing ? [hoop.id] : []));
        const before = found.get(key)?.count ?? 0;
        found.set(key, {
          ...cut,
          key,
          itemId: item.id,
          itemName: item.name,
          hooped: inRing,
          count: before + cut.count * times
        });
      }
    }
  }
  return [...found.values()];
}

/** Pieces a hand step brings in. */
function piecesOf(op: { do: string } | null): string[] {
  return op && 'pieceId' in op && typeof op.pieceId === 'string' ? [op.pieceId] : [];
}

/** What is asked of the cutting planner for a whole order. */
export function orderCutInput(
  input: BatchInput,
  plan: BatchPlan,
  stash: readonly StashEntry[]
): PlanCutsInput {
  const entries = stash.filter((entry): entry is ClothEntry => entry.what === 'cloth');
  return {
    demands: orderDemands(input, plan, entries),
    entries,
    offers: input.shop.offers ?? defaultOffers(input.shop.unit),
    unit: input.shop.unit,
    job: { choices: [], kept: [], done: [] }
  };
}

/** What one line asks of the shopping list. */
export interface LineWant extends Want {
  lineId: string;
}

/** The lines of an order as a shopping list wants them. */
export function orderWants(input: BatchInput, plan: BatchPlan): LineWant[] {
  return stillToMake(input, plan).flatMap(({ line, item, setup, hoopings, copies }): LineWant[] => {
    const context = new LineContext(line, item, setup, input.shop);
    const first = hoopings.at(-1);
    const machine = input.shop.machines.find(({ id }) => id === first?.machineId);
    const hoop = input.shop.hoops.find(({ id }) => id === first?.hoopId);
    return machine && hoop ? [{ lineId: line.id, item, plan: context.planOf(machine, hoop), copies }] : [];
  });
}

/** Threads of the whole order, colour by colour, and how many spools of each are wanted at the same time. */
export function orderThreads(
  input: BatchInput,
  plan: BatchPlan,
  stash: readonly StashEntry[],
  measured: readonly number[]
): { threads: ThreadRow[]; bobbins: BobbinRow[] } {
  const threads = new Map<string, ThreadRow>();
  const bobbins = new Map<string, BobbinRow>();
  const spools = new Map<string, number>();
  const names = new Map(stationsOf(input.shop, []).map(({ id, name }) => [id, name]));
  const onStations = new Map<string, Set<string>>();
  const headsOf = new Map<string, number>();
  for (const { line, item, setup, hoopings, copies } of stillToMake(input, plan)) {
    const context = new LineContext(line, item, setup, input.shop);
    const any = hoopings[0];
    const machine = input.shop.machines.find(({ id }) => id === any?.machineId);
    const hoop = input.shop.hoops.find(({ id }) => id === any?.hoopId);
    if (!machine || !hoop) continue;
    const own = context.setupFor(machine, hoop);
    const made = planAndTrace(item, own, input.shop);
    const stations = new Set(hoopings.map(({ stationId }) => stationId));
    for (const { stationId, heads } of hoopings)
      headsOf.set(stationId, Math.max(headsOf.get(stationId) ?? 1, heads.length));
    for (const { thread, upperMetres } of made.plan.threads) {
      const key = comparedName(thread.name);
      const row = threads.get(key) ?? emptyRow(thread.name, thread.colour, stash);
      threads.set(key, { ...row, upper: row.upper + upperMetres * copies });
      onStations.set(key, new Set([...(onStations.get(key) ?? []), ...stations]));
    }
    for (const share of shares(hoopings)) {
      const station = { ...share, name: names.get(share.name) ?? share.name };
      for (const { thread, upperMetres } of made.plan.threads) {
        const key = comparedName(thread.name);
        const row = threads.get(key);
        const holds = spoolHolds(row?.have ?? { metres: 0, spools: 0 });
        spools.set(
          key,
          (spools.get(key) ?? 0) + spoolsFor(upperMetres * station.perHead, station.heads, holds)
        );
        const ends = spoolEnds(made.plan, thread.id, { ...station, holds });
        row?.ends.push(...ends.map((end) => ({ ...end, station: station.name, itemName: item.name })));
      }
      const wound = stationBobbins(made, bobbinUse(measured), station);
      for (const { colour, count } of wound.wind) {
        const name = bobbinColourName(colour, made.plan, own.bobbin);
        const key = windingKey(colour, name);
        const before = bobbins.get(key) ?? { name, metres: 0, bobbins: 0 };
        bobbins.set(key, { ...before, bobbins: before.bobbins + count });
      }
    }
    const planned = planItemBobbins(made, bobbinUse(measured), { copies: 1 });
    for (const { stepId, colour } of planned.levels) {
      const taken =
        (made.plan.steps.find(({ id }) => id === stepId)?.stop?.bobbinMetres ?? 0) *
        planned.use.factor *
        copies;
      const name = bobbinColourName(colour, made.plan, own.bobbin);
      // Bobbins nobody has to match are not wound off a spool of the same name.
      const key = windingKey(colour, name);
      const before = bobbins.get(key) ?? { name, metres: 0, bobbins: 0 };
      bobbins.set(key, { ...before, metres: before.metres + taken });
    }
  }
  const heads = (ids: Iterable<string>): number =>
    [...ids].reduce((sum, id) => sum + (headsOf.get(id) ?? 1), 0);
  return {
    threads: [...threads].map(([key, row]): ThreadRow => {
      const bobbin = bobbins.get(key)?.metres ?? 0;
      const atOnce = heads(onStations.get(key) ?? []);
      const needs = row.upper + bobbin;
      const wanted = Math.max(spools.get(key) ?? 0, atOnce);
      return {
        ...row,
        bobbin,
        atOnce,
        spools: wanted,
        lacks: Math.max(0, needs - (row.have?.metres ?? 0)),
        lacksSpools: Math.max(0, atOnce - (row.have?.spools ?? 0))
      };
    }),
    bobbins: [...bobbins.values()].filter((row) => row.bobbins > 0)
  };
}

function emptyRow(name: string, colour: string, stash: readonly StashEntry[]): ThreadRow {
  const own = stash.flatMap((entry) => (entry.what === 'thread' && sameName(entry.name, name) ? entry : []));
  const have =
    own.length === 0
      ? null
      : {
          metres: own.reduce((sum, { metres }) => sum + metres, 0),
          spools: own.reduce((sum, { spools }) => sum + spools, 0)
        };
  return {
    name,
    colour,
    upper: 0,
    bobbin: 0,
    atOnce: 0,
    have,
    lacks: 0,
    lacksSpools: 0,
    spools: 0,
    ends: []
  };
}

/** Bobbins nobody has to match are not wound off a spool of the same name. */
function windingKey(colour: string, name: string): string {
  return colour === USUAL ? `usual ${comparedName(name)}` : comparedName(name);
}

/** What each station stitches of a line: its heads, and the copies of the one that has most. */
function shares(
  hoopings: readonly PlannedHooping[]
): { name: string; heads: number; perHead: number; copies: number }[] {
  const found = new Map<string, { name: string; heads: number; copies: number }>();
  for (const { stationId, heads, copies, stage, stages } of hoopings) {
    if (stage !== stages - 1) continue;
    const before = found.get(stationId) ?? { name: stationId, heads: 1, copies: 0 };
    found.set(stationId, {
      ...before,
      heads: Math.max(before.heads, heads.length),
      copies: before.copies + copies
    });
  }
  return [...found.values()].map((share) => ({ ...share, perHead: Math.ceil(share.copies / share.heads) }));
}

/** The key of a piece of a line among all that is cut; an id may hold any sign. */
function pieceKey(...ids: string[]): string {
  return ids.map(encodeURIComponent).join('/');
}

/**
 * The line a piece is cut for, by its key.
 *
 * @example
 * lineOfPiece('stall%2F1/front') // 'stall/1'
 */
export function lineOfPiece(key: string): string {
  return decodeURIComponent(key.split('/')[0] ?? '');
}
