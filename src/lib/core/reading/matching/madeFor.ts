import { type AnyConstruction, constructionOf, type Made } from '$lib/core/craft/constructions';
import { renamedPattern } from '$lib/core/craft/sequence';
import { isSame } from '$lib/core/documents/changes';
import type { Block, Item } from '$lib/core/documents/item';
import { followed } from './followed';
import { keptNames } from './keptNames';

/** Answers and blocks to make something of. */
interface Asked {
  params: Record<string, unknown>;
  /** Null for those the construction takes. */
  blocks: readonly Block[] | null;
}

/**
 * What the construction of an item makes of the item’s own answers or of others, in the names the item has for it. Blocks follow
 * other answers, where these change the recipe and the maker has not said otherwise.
 *
 * @returns null for an item written by hand
 *
 * @example
 * madeFor(keptTab)?.pattern.entries.map(nameOf) // ['hoop', 'hoop-on-1', 'placement', 'lay-front', …]
 */
export function madeFor(item: Item, asked?: Asked): Made | null {
  const construction = constructionOf(item.construction ?? '');
  if (!construction) return null;
  const own = construction.patternOf(item.params, item.blocks);
  const made = asked ? construction.patternOf(asked.params, blocksFor(construction, item, asked)) : own;
  if (!made.ok || !own.ok) return made;
  const names = keptNames(item, own.pattern);
  return names ? { ...made, pattern: renamedPattern(made.pattern, names) } : made;
}

function blocksFor(
  { blocksOf }: AnyConstruction,
  item: Item,
  { params, blocks }: Asked
): readonly Block[] | undefined {
  if (!blocks) return undefined;
  if (isSame(params, item.params)) return blocks;
  const [was, is] = [blocksOf(item.params), blocksOf(params)];
  return was && is ? followed(blocks, was, is) : blocks;
}
