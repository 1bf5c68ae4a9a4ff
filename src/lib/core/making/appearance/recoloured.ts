import type { Item, Material } from '$lib/core/documents/item';
import type { StackState } from '$lib/core/craft/stack';
import { type Appearance, appearance, type Patch } from './appearance';

/**
 * What an item looks like once only its colours have changed: nothing is simulated anew.
 *
 * @param state how the item ends in its old colours
 * @param item the same in its new ones
 *
 * @example
 * recoloured(lastStateOfTheTab, tabInRed).sides[0]?.patches[0]?.colour // '#bf2f2a'
 */
export function recoloured(state: StackState, item: Item): Appearance {
  const look = appearance(state, item);
  const pieceOf = new Map(item.pieces.map((piece) => [piece.id, piece]));
  return {
    ...look,
    sides: look.sides.map((side) => ({
      ...side,
      patches: side.patches.map((patch) => {
        const material = pieceOf.get(patch.pieceId)?.material;
        return material ? inMaterial(patch, material) : patch;
      })
    }))
  };
}

function inMaterial(patch: Patch, { kind, colour, photo }: Material): Patch {
  const { pieceId, name, rightSide, amiss, region, teeth, folds } = patch;
  const plain = { pieceId, name, rightSide, ...(amiss && { amiss }), region, teeth, folds, kind, colour };
  return photo && rightSide ? { ...plain, photo } : plain;
}
