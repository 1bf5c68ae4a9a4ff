import { fusedBy } from '$lib/core/craft/operations';
import type { Item } from '$lib/core/documents/item';

/** Layers a die cuts in one pass. */
export const DIE_LAYERS = 6;

/** How a shape goes under the die. */
export interface DieWork {
  /** Shapes wanted. */
  count: number;
  /** Fusible on the back counts as half a layer. */
  fused: boolean;
  /** Shapes one die cuts from a layer. */
  perLayer?: number;
  /** Layers the die takes. */
  layers?: number;
}

/**
 * Passes through the die cutter: a fabric counts one layer and its fusible a half, so four fused layers make a pass.
 *
 * @example
 * diePasses({ count: 38, fused: true }) // { layers: 4, perPass: 4, passes: 10, last: 2 }
 */
export function diePasses({ count, fused, perLayer = 1, layers = DIE_LAYERS }: DieWork): {
  layers: number;
  perPass: number;
  passes: number;
  /** Layers of the last pass. */
  last: number;
} {
  const together = Math.max(1, Math.floor(layers / (fused ? 1.5 : 1)));
  const perPass = together * perLayer;
  const passes = Math.ceil(count / perPass);
  const over = count - (passes - 1) * perPass;
  return { layers: together, perPass, passes, last: passes === 0 ? 0 : Math.ceil(over / perLayer) };
}

/**
 * Whether a piece carries fusible when it goes under the die: web is fused to it before, or a step of any kind fuses it.
 *
 * @example
 * isFused(apron, 'first') // true: its step lays and fuses it
 */
export function isFused({ pieces, steps }: Pick<Item, 'pieces' | 'steps'>, pieceId: string): boolean {
  const backed = pieces.find(({ id }) => id === pieceId)?.backed ?? [];
  return (
    backed.some(({ kind }) => kind === 'fusible') ||
    steps.some((step) => step.kind === 'hand' && fusedBy(step.op) === pieceId)
  );
}
