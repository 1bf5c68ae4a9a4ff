import type { AnyConstruction } from '$lib/core/craft/constructions';
import type { Pattern } from '$lib/core/craft/sequence';
import { type Hoop, hoopsMovedTo, type Shop } from '$lib/core/documents/shop';
import type { withLists } from '$lib/core/reading/matching';
import type { Papers } from './papers.svelte';

interface Size {
  width: number;
  height: number;
}

/** A size to a tenth of a millimetre. */
export const rounded = ({ width, height }: Size): Size => ({
  width: Math.round(width * 10) / 10,
  height: Math.round(height * 10) / 10
});

/** The other lists of a paper, each as its construction makes it in its own size. */
export function furtherOf(
  lists: Papers['further'],
  construction: AnyConstruction,
  given: Readonly<Record<string, unknown>>,
  sized: boolean
): Parameters<typeof withLists>[2] {
  return lists.flatMap(({ name, size, rows }, at) => {
    const overrides = size && sized ? { ...rounded(size) } : {};
    const made = construction.patternOf({ ...given, ...overrides });
    return made.ok ? [{ id: `list-${at + 2}`, name, overrides, rows, pattern: made.pattern }] : [];
  });
}

/** Hoops of the shop that hold what a pattern makes. */
export const hoopsFor = ({ hoops }: Shop, { entries, variant }: Pattern): readonly Hoop[] =>
  hoopsMovedTo(hoops, entries, variant.finished);
