import { extents } from '$lib/core/base/geometry';
import type { Run } from '$lib/core/documents/run';
import { type BatchInput, copiesOf, piecesDone, progressOf } from '$lib/core/ordering/day';
import { outlineAt } from '$lib/core/ordering/copies';
import { LineContext, stationsOf } from '$lib/core/ordering/hoopings';
import { isZip } from '$lib/core/preparing/cutting';
import { cutList } from '$lib/core/craft/sizes';
import { compareRun, faultName, foldRun } from '$lib/core/running/runs';
import type { Material } from '$lib/core/documents/item';

/** Something that went wrong in an order, over all its runs. */
export interface WentWrong {
  words: string;
  times: number;
  /** Time until the work went on, s. */
  seconds: number;
}

/** Cut pieces, or a hooped piece with room on it, that an order leaves behind. */
export interface Leftover {
  key: string;
  name: string;
  material: Material;
  width: number;
  height: number;
  count: number;
  /** Parts of a hooped piece that are stitched already, mm from its corner; none for a cut piece. */
  stitched: { x: number; y: number; width: number; height: number }[];
}

/** What an order has to tell once it is over. */
export interface AfterOrder {
  wrong: WentWrong[];
  /** Pieces that came out bad against those made, and the share that was reckoned with. */
  spoiled: { lineId: string; name: string; made: number; bad: number }[];
  badShare: number | null;
  reckoned: number;
  /** s */
  predicted: { hands: number; needle: number };
  actual: { hands: number; needle: number };
  leftovers: Leftover[];
}

/**
 * What went wrong in an order and how often, what was spoiled, how its times came out, and what is left over for the stash.
 *
 * @param runs of the order, with their events
 *
 * @example
 * afterOrder(input, runs).wrong[0] // { words: 'Thread broke', times: 3, seconds: 540 }
 */
export function afterOrder(input: BatchInput, runs: readonly Run[]): AfterOrder {
  const { order, items } = input;
  const progress = progressOf(runs);
  const stages = (lineId: string): number =>
    progress.done.reduce((last, each) => (each.lineId === lineId ? Math.max(last, each.stage) : last), 0);
  const done = new Map(piecesDone(order, progress, stages).map((each) => [each.lineId, each.pieces]));
  const spoiled = order.lines.map((line) => ({
    lineId: line.id,
    name: items.find(({ item }) => item.id === line.itemId)?.item.name ?? 'An item no longer here',
    made: (done.get(line.id) ?? 0) + line.spoiled,
    bad: line.spoiled
  }));
  const made = spoiled.reduce((sum, each) => sum + each.made, 0);
  const [predicted, actual] = [
    { hands: 0, needle: 0 },
    { hands: 0, needle: 0 }
  ];
  for (const { plan, events } of runs) {
    const own = compareRun(plan, events);
    for (const kind of ['hands', 'needle'] as const) {
      predicted[kind] += own.predicted[kind];
      actual[kind] += own.actual[kind];
    }
  }
  return {
    wrong: wrongIn(runs),
    spoiled,
    badShare: made > 0 ? spoiled.reduce((sum, each) => sum + each.bad, 0) / made : null,
    reckoned: order.spoilage,
    predicted,
    actual,
    leftovers: [...sparePieces(input, spoiled), ...partUsed(input, runs)]
  };
}

function wrongIn(runs: readonly Run[]): WentWrong[] {
  const found = new Map<string, WentWrong>();
  for (const { plan, events } of runs)
    for (const { fault, seconds } of foldRun(plan.steps, events).faults) {
      const words = faultName(fault);
      const known = found.get(words) ?? { words, times: 0, seconds: 0 };
      found.set(words, { words, times: known.times + 1, seconds: known.seconds + (seconds ?? 0) });
    }
  return [...found.values()].sort((a, b) => b.times - a.times || b.seconds - a.seconds);
}

/** Pieces cut for copies that were not needed in the end, where all that is ordered is there. */
function sparePieces({ order, items, shop }: BatchInput, spoiled: AfterOrder['spoiled']): Leftover[] {
  return order.lines.flatMap((line): Leftover[] => {
    const found = items.find(({ item }) => item.id === line.itemId);
    const own = spoiled.find(({ lineId }) => lineId === line.id);
    if (!found || !own || own.made - own.bad < line.quantity || line.repeats) return [];
    const spare = copiesOf(line, order.spoilage) - Math.ceil(own.made / line.perFile);
    const context = new LineContext(line, found.item, found.setup, shop);
    const { hoopId } = context.setupFor(null, null);
    const hoop = shop.hoops.find(({ id }) => id === hoopId);
    if (!hoop || spare <= 0) return [];
    const hooped = new Set(context.item.hoopings.flatMap((each) => each.hooped));
    return cutList(context.item, hoop, shop, 1)
      .filter(
        (cut) =>
          !hooped.has(cut.pieceId) && cut.cutFrom === null && cut.readyMade !== true && !isZip(cut.material)
      )
      .map((cut) => ({
        key: `${line.id} ${cut.pieceId}`,
        name: `${cut.material.name}, cut for ${found.item.name}`,
        material: cut.material,
        width: cut.cut.width,
        height: cut.cut.height,
        count: cut.count * spare,
        stitched: []
      }));
  });
}

/** Hooped material of a hooping that had room for more copies: what is stitched on it is not used again, the rest can be. */
function partUsed({ order, items, shop }: BatchInput, runs: readonly Run[]): Leftover[] {
  return runs.flatMap((run): Leftover[] => {
    const { order: part, plan, events, id } = run;
    // A hoop that several items share is as good as full.
    if (!part || part.shared || foldRun(plan.steps, events).phase !== 'finished') return [];
    const line = order.lines.find((each) => each.id === part.lineId);
    const found = line && items.find(({ item }) => item.id === line.itemId);
    const hoop = shop.hoops.find((each) => each.id === part.hoopId);
    const station = stationsOf(shop, []).find((each) => each.id === part.stationId);
    if (!line || !found || !hoop || !station || station.heads > 1) return [];
    const context = new LineContext(line, found.item, found.setup, shop);
    const stage = context.stagesOf(station.machine, hoop)[part.stage];
    if (!stage) return [];
    const room = context.layoutOf(stage, station.machine, hoop, part.copies + 1).placements.length;
    if (room <= part.copies) return [];
    const outline = context.outlineOf(stage, station.machine, hoop);
    const placed = context.layoutOf(stage, station.machine, hoop, part.copies).placements;
    const hooping = context.item.hoopings.find((each) => stage.hoopingIds.includes(each.id));
    const piece = context.item.pieces.find((each) => hooping?.hooped.includes(each.id));
    const cut = cutList(context.item, hoop, shop, 1).find((each) => each.pieceId === piece?.id);
    if (!piece || !cut) return [];
    return [
      {
        key: `${id} ${piece.id}`,
        name: `${piece.material.name}, hooped once, room left`,
        material: piece.material,
        width: cut.cut.width,
        height: cut.cut.height,
        count: 1,
        stitched: placed.map((place) => {
          const { minX, minY, maxX, maxY } = extents(outlineAt(outline, place));
          const [x, y] = [Math.max(0, cut.cut.width / 2 + minX), Math.max(0, cut.cut.height / 2 + minY)];
          return { x, y, width: maxX - minX, height: maxY - minY };
        })
      }
    ];
  });
}

/**
 * The share that is spoiled as this order teaches it, mixed with what was reckoned with: a few pieces teach little.
 *
 * @example
 * learnedSpoilage({ badShare: 0.2, reckoned: 0.03, made: 10 }) // 0.06
 */
export function learnedSpoilage({
  badShare,
  reckoned,
  made
}: {
  badShare: number | null;
  reckoned: number;
  made: number;
}): number {
  if (badShare === null) return reckoned;
  const weight = made / (made + PIECES_THAT_TEACH);
  return Math.round((reckoned + (badShare - reckoned) * weight) * 100) / 100;
}

/** So many pieces weigh as much as what was reckoned with before. */
const PIECES_THAT_TEACH = 40;
