import { isSame, rowOrder } from '$lib/core/documents/changes';
import type { Block } from '$lib/core/documents/item';

/**
 * Blocks that were changed by hand, after other answers of the item: they follow what its recipe changes, block by block and
 * answer by answer, where the maker has not said otherwise.
 *
 * @param was the blocks the recipe took for the answers before, and `is` those it takes now
 *
 * @example
 * followed([...own], recipe({ hold: 'tape' }), recipe({ hold: 'pins' })) // the front is held with pins, what was added stays
 */
export function followed(own: readonly Block[], was: readonly Block[], is: readonly Block[]): Block[] {
  const of = (blocks: readonly Block[], id: string): Block | undefined =>
    blocks.find((each) => each.id === id);
  return rowOrder(was, is, own).flatMap((id) => {
    const [mine, before, after] = [of(own, id), of(was, id), of(is, id)];
    // What the maker took out stays out; what the recipe drops goes unless it was changed.
    if (!mine) return after && !before ? after : [];
    if (!before) return mine;
    if (!after) return isSame(mine, before) ? [] : mine;
    return { ...mine, kind: after.kind, answers: answersAfter(mine, before, after) };
  });
}

function answersAfter(
  { answers: mine }: Block,
  { answers: before }: Block,
  { answers: after }: Block
): Block['answers'] {
  const keys = new Set([...Object.keys(mine), ...Object.keys(after)]);
  return Object.fromEntries(
    [...keys].flatMap((key) => {
      const value = isSame(mine[key], before[key]) ? after[key] : mine[key];
      return value === undefined ? [] : [[key, value]];
    })
  );
}
