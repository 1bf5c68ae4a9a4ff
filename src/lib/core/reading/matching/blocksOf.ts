import { constructionOf } from '$lib/core/craft/constructions';
import { type Block, findStop, type Item } from '$lib/core/documents/item';
import { madeFor } from './madeFor';

/**
 * What an item is made of: its blocks as they were changed, or those its construction takes for its answers.
 *
 * @returns null for an item written by hand, and where its answers are not right any more
 */
export function blocksOf(item: Item): Block[] | null {
  const construction = constructionOf(item.construction ?? '');
  return construction?.blocksOf(item.params, item.blocks) ?? item.blocks ?? null;
}

/**
 * The block each step of an item comes from, where it comes from one.
 *
 * @example
 * stepBlocks(tab).get('lay-back') // 'back'
 */
export function stepBlocks(item: Item): ReadonlyMap<string, string> {
  const made = madeFor(item);
  if (!made?.ok) return new Map();
  const named = new Map(
    made.pattern.entries.flatMap(({ block, ...entry }): [string, string][] =>
      block === undefined ? [] : [[entry.kind === 'stop' ? `stop:${entry.key}` : entry.id, block]]
    )
  );
  return new Map(
    item.steps.flatMap((step): [string, string][] => {
      const key = step.kind === 'stop' ? `stop:${findStop(item, step.stopId)?.expects ?? ''}` : step.id;
      const block = named.get(key);
      return block === undefined ? [] : [[step.id, block]];
    })
  );
}
