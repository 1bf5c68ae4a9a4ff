import type { LengthUnit } from '$lib/core/base/units';
import type { CutJob } from '$lib/core/documents/cutJob';
import type { Offer } from '$lib/core/documents/shop';
import type { ClothEntry } from '$lib/core/documents/stash';
import {
  type Cloth,
  cutsOf,
  frameOf,
  layOutPieces,
  remaindersOf,
  type StripLayout,
  usedHeight,
  type Wanted
} from '$lib/core/solvers/strips';
import { boughtCloths, clothsOf, type CutCloth, sheetNumberOf } from './cloths';
import type { Demand } from './demand';
import { type Group, groupsOf, materialId } from './groups';
import { type Kept, keptOf } from './kept';
import type { MaterialPlan, PlannedCloth, PlannedStrip, Purchase } from './result';
import { whyUnplaced } from './unplaced';

export interface PlanCutsInput {
  demands: readonly Demand[];
  entries: readonly ClothEntry[];
  offers: readonly Offer[];
  /** Unit in which sizes are said. */
  unit: LengthUnit;
  job: Pick<CutJob, 'choices' | 'kept' | 'done'>;
}

export interface PlanCutsOptions {
  /** How hard to look; the layouts of the search that are tried for each material. */
  rounds?: number;
  /** Called when a material has a plan, and each time a better one is found. */
  onBetter?: (plan: MaterialPlan) => void;
  stop?: () => boolean;
}

/**
 * Lays every piece on what the stash holds, material by material, offcuts before new lengths; what finds no place is laid
 * on what can be bought. Strips the maker keeps, and those already cut, are not touched.
 *
 * @returns one plan a material, in the order of the pieces
 */
export function planCuts(
  { demands, entries, offers, job, unit }: PlanCutsInput,
  { rounds = 240, onBetter, stop }: PlanCutsOptions = {}
): MaterialPlan[] {
  const kept = keptOf(demands, entries, job);
  const given = { kept, offers, demands, unit };
  const done: MaterialPlan[] = [];
  for (const group of groupsOf(demands, kept, entries, job)) {
    done.push(planGroup(group, given, { rounds, ...(stop && { stop }), ...(onBetter && { onBetter }) }));
  }
  return done;
}

/** What is the same for every material. */
interface Given {
  kept: Kept;
  offers: readonly Offer[];
  demands: readonly Demand[];
  unit: LengthUnit;
}

function planGroup(group: Group, given: Given, options: PlanCutsOptions): MaterialPlan {
  const { kept, offers } = given;
  const pieces = group.pieces.reduce((sum, { count }) => sum + count, 0);
  const wanted = group.pieces.map(({ demand, count, only }): Wanted => ({
    key: demand.key,
    width: demand.cut.width,
    height: demand.cut.height,
    count,
    turn: demand.grain === 'any',
    only
  }));
  const own = clothsOf(group.entries, pieces + lastSheetKept(kept));
  const sold = offers.filter(({ kinds }) => kinds.includes(group.material.kind));
  let best: MaterialPlan | undefined;
  const search = (cloths: readonly CutCloth[], offer: Offer | null): void => {
    const consider = (layout: StripLayout, done: boolean): void => {
      const next = assemblePlan(group, given, cloths, layout, offer);
      if (best && !isBetter(next, best)) return;
      if (done) best = next;
      // What the stash alone lacks is no news while it may yet be bought.
      const lacks = offer === null && sold.length > 0 && next.unplaced.length > 0;
      if (!lacks) options.onBetter?.(next);
    };
    const found = layOutPieces(
      wanted,
      cloths.map(({ cloth }) => withoutKept(cloth, kept)),
      {
        ...(options.rounds !== undefined && { rounds: options.rounds }),
        ...(options.stop && { stop: options.stop }),
        onBetter: (better) => consider(better, false)
      }
    );
    consider(found, true);
  };

  search(own, null);
  for (const offer of sold) {
    if (best?.unplaced.length === 0 && best.buy === null) break;
    if (options.stop?.()) break;
    search([...own, ...boughtCloths(offer, group.material, pieces)], offer);
  }
  return best ?? assemblePlan(group, given, own, layOutPieces([], []), null);
}

/** The highest number of a sheet on which something is kept. */
function lastSheetKept({ cloths }: Kept): number {
  return Math.max(0, ...[...cloths.keys()].map(sheetNumberOf));
}

/** Less without a place; then cheaper, or less cloth bought where a price is unknown; then fewer cuts. */
function isBetter(a: MaterialPlan, b: MaterialPlan): boolean {
  const missing = (plan: MaterialPlan): number => plan.unplaced.reduce((sum, { count }) => sum + count, 0);
  if (missing(a) !== missing(b)) return missing(a) < missing(b);
  const [costA, costB] = [a.buy?.cost ?? null, b.buy?.cost ?? null];
  if (costA !== null && costB !== null && costA !== costB) return costA < costB;
  const [areaA, areaB] = [areaBought(a.buy), areaBought(b.buy)];
  if (Math.abs(areaA - areaB) > 1) return areaA < areaB;
  return a.cuts < b.cuts;
}

function areaBought(buy: Purchase | null): number {
  if (!buy) return 0;
  return buy.count * buy.offer.width * buy.offer.height;
}

/** A cloth without the strips that are kept at its beginning. */
function withoutKept(cloth: Cloth, kept: Kept): Cloth {
  const held = kept.cloths.get(cloth.id);
  if (!held) return cloth;
  const used = usedHeight(held.strips);
  return held.along
    ? { ...cloth, width: Math.max(0, cloth.width - used), first: 'along' }
    : { ...cloth, height: cloth.height === null ? null : Math.max(0, cloth.height - used), first: 'across' };
}

function assemblePlan(
  group: Group,
  { kept, demands, unit }: Given,
  cloths: readonly CutCloth[],
  layout: StripLayout,
  offer: Offer | null
): MaterialPlan {
  const planned = cloths.flatMap(({ cloth, entry, name }): PlannedCloth[] => {
    const held = kept.cloths.get(cloth.id);
    const fresh = layout.cloths.find(({ clothId }) => clothId === cloth.id);
    const along = held?.along ?? fresh?.along ?? false;
    const below = held ? usedHeight(held.strips) : 0;
    const strips: PlannedStrip[] = [
      ...(held?.strips ?? []).map((strip) => ({ strip, kept: true })),
      ...(fresh?.strips ?? []).map((strip) => ({ strip: { ...strip, y: strip.y + below }, kept: false }))
    ];
    if (strips.length === 0) return [];
    const frame = frameOf(cloth, along);
    const bare = strips.map(({ strip }) => strip);
    return [
      {
        cloth,
        name,
        colour: entry?.colour ?? group.material.colour,
        kind: entry?.kind ?? group.material.kind,
        entryId: entry?.id ?? null,
        offer: cloth.bought ? offer : null,
        along,
        strips,
        remainders: remaindersOf(bare, frame),
        cuts: cutsOf(bare, frame),
        used: usedHeight(bare)
      }
    ];
  });
  return {
    id: group.id,
    material: group.material,
    demands: demands.filter((demand) => materialId(demand.material) === group.id),
    cloths: planned,
    unplaced: whyUnplaced(layout.unplaced, group, cloths, unit),
    buy: purchaseOf(planned, group, offer),
    cuts: planned.reduce((sum, { cuts }) => sum + cuts, 0),
    remarks: remarksOf(group)
  };
}

function purchaseOf(
  planned: readonly PlannedCloth[],
  { material }: Group,
  offer: Offer | null
): Purchase | null {
  const bought = planned.filter(({ cloth }) => cloth.bought);
  if (!offer || bought.length === 0) return null;
  const length = bought.reduce((sum, { used }) => sum + used, 0);
  const count = offer.by === 'length' ? Math.ceil(length / offer.height - 1e-6) : bought.length;
  return {
    offer,
    material,
    count,
    mm: offer.by === 'sheet' ? 0 : count * offer.height,
    cost: offer.price === null ? null : Math.round(count * offer.price * 100) / 100
  };
}

function remarksOf({ entries }: Group): string[] {
  return entries
    .filter(({ prewashed, shrinkage }) => !prewashed && (shrinkage.along > 0 || shrinkage.across > 0))
    .map(
      ({ name, shrinkage }) =>
        `${name} is not washed yet and loses ${shrinkage.along} % along and ${shrinkage.across} % across: its pieces are cut that much larger.`
    );
}
