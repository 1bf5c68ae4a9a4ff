import type { Block } from '$lib/core/documents/item';

/**
 * Answers of an item and of its blocks with some of them given otherwise: `KEY` is an answer of the construction, `BLOCK.KEY`
 * one of a block.
 *
 * @example
 * answered({ width: 90 }, blocks, { width: 120, 'name-1.name': 'Ivy' }).params // { width: 120 }
 */
export function answered(
  params: Readonly<Record<string, unknown>>,
  blocks: readonly Block[],
  given: Readonly<Record<string, unknown>>
): { params: Record<string, unknown>; blocks: Block[] } {
  const own = Object.entries(given);
  return {
    params: { ...params, ...Object.fromEntries(own.filter(([key]) => !key.includes('.'))) },
    blocks: blocks.map((block) => {
      const answers = own.flatMap(([key, value]): [string, unknown][] =>
        key.startsWith(`${block.id}.`) ? [[key.slice(block.id.length + 1), value]] : []
      );
      return answers.length === 0
        ? block
        : { ...block, answers: { ...block.answers, ...Object.fromEntries(answers) } };
    })
  };
}
