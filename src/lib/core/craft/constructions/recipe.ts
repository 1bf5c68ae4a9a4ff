import type { Outline } from '$lib/core/base/geometry';
import { Sequence } from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';

/** The outline of an item that is made of blocks alone. */
export function outlineOf({
  shape,
  width,
  height
}: {
  shape: Outline;
  width: number;
  height: number;
}): Sequence {
  const size = { width, height };
  return new Sequence({ shape, size, finished: size, edge: 'none' });
}

/** A block of a recipe. */
export function block(id: string, kind: string, answers: Block['answers'] = {}, name?: string): Block {
  return { id, kind, answers, ...(name !== undefined && { name }) };
}
