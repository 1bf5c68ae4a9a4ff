import type { Outline } from '$lib/core/base/geometry';
import { Sequence } from '$lib/core/craft/sequence';
import type { Block, Material } from '$lib/core/documents/item';

/**
 * The outline of an item that is made of blocks.
 *
 * @param edge what its edge is called, where no block says
 * @param finished its size in the end, where that is not its outline’s
 */
export function outlineOf(
  { shape, width, height }: Size & { shape: Outline },
  edge = 'none',
  finished: Size = { width, height }
): Sequence {
  return new Sequence({ shape, size: { width, height }, finished, edge });
}

/** mm. */
interface Size {
  width: number;
  height: number;
}

/** A block of a recipe. */
export function block(id: string, kind: string, answers: Block['answers'] = {}, name?: string): Block {
  return { id, kind, answers, ...(name !== undefined && { name }) };
}

/** Cloth hooped with its stabiliser, as a patch or an appliqué begins. */
export function hoopedGround(
  { stabiliser, layers, ground }: { stabiliser: string; layers: number; ground: Material },
  name = 'Ground',
  more: Block['answers'] = {}
): Block {
  return block('hooping', 'hooping', { stabiliser, layers, ground: 'hooped', cloth: ground, ...more }, name);
}
