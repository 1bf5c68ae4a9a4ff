import { forVariant, type Item, type Material } from '$lib/core/documents/item';
import type { CutPiece, Plan } from '$lib/core/documents/plan';
import type { Hoop } from '$lib/core/documents/shop';
import type { ClothEntry } from '$lib/core/documents/stash';
import { cutList, type Shrinkage, type SizingRules } from '$lib/core/craft/sizes';
import { serves } from '$lib/core/preparing/stash';

/** A piece that is wanted, so many times over all copies. */
export interface Demand extends CutPiece {
  /** Item and piece; the name of a piece in layouts. */
  key: string;
  itemId: string;
  itemName: string;
  /** Held by the ring. */
  hooped: boolean;
}

/** What one item asks of the cutting mat. */
export interface Want {
  item: Item;
  plan: Plan;
  copies: number;
}

/**
 * Everything that is cut for some items, each in the variant its plan is of. Zips and ready-made things are taken, not cut, and a piece cut from an earlier hooping needs no cloth.
 *
 * @param entries cloth of the stash: what is not washed yet is cut larger by what a wash takes
 */
export function demandsOf(
  wants: readonly Want[],
  rules: SizingRules,
  entries: readonly ClothEntry[]
): Demand[] {
  return wants.flatMap(({ item: whole, plan, copies }) => {
    const item = forVariant(whole, plan.variant.id);
    return cutList(item, hoopOf(plan), rules, copies, ({ material, grain }) =>
      shrinkageOf(material, entries, grain === 'any')
    )
      .filter(
        ({ cutFrom, material, readyMade }) => cutFrom === null && readyMade !== true && !isZip(material)
      )
      .map((cut) => ({
        ...cut,
        key: `${item.id}/${cut.pieceId}`,
        itemId: item.id,
        itemName: item.name,
        hooped: item.pieces.find(({ id }) => id === (cut.backs ?? cut.pieceId))?.covers === null
      }));
  });
}

/** Whether a material is a zip. */
export function isZip({ kind }: Pick<Material, 'kind'>): boolean {
  return kind === 'zip' || kind === 'metal-zip';
}

/**
 * The most any cloth that serves loses in the wash and has not lost yet, %. A piece that may be turned loses the greater
 * of the two either way, since nobody knows yet how it will lie.
 *
 * @param turned the piece may lie turned by 90 degrees
 */
export function shrinkageOf(
  material: Material,
  entries: readonly ClothEntry[],
  turned: boolean
): Shrinkage | undefined {
  const unwashed = entries.filter((entry) => !entry.prewashed && serves(entry, material));
  if (unwashed.length === 0) return undefined;
  const along = Math.max(...unwashed.map(({ shrinkage }) => shrinkage.along));
  const across = Math.max(...unwashed.map(({ shrinkage }) => shrinkage.across));
  const most = Math.max(along, across);
  const eitherWay = turned && unwashed.some(({ direction }) => direction === 'any');
  return eitherWay ? { along: most, across: most } : { along, across };
}

function hoopOf({ hoop }: Plan): Hoop {
  return { ...hoop, capSpm: null };
}

/**
 * A letter for each piece, so that a small one can be told in a drawing.
 *
 * @example
 * letterOf(0) // 'A'
 * letterOf(27) // 'B2'
 */
export function letterOf(at: number): string {
  const letter = String.fromCharCode(65 + (at % 26));
  return at < 26 ? letter : `${letter}${Math.floor(at / 26) + 1}`;
}
