import { expect } from 'chai';
import { constructionOf, type Made } from '$lib/core/craft/constructions';
import type { Block, Item } from '$lib/core/documents/item';
import { review } from '$lib/core/making/checks';
import { assemble } from '$lib/core/reading/matching';
import { roomyShop } from './ends';

type Composed = Extract<Made, { ok: true }>;

/** Blocks by their kinds and answers; each is called by its kind and its place, or as it is said. */
export function blocksOf(
  ...kinds: (string | [kind: string, answers: Record<string, unknown>, name?: string])[]
): Block[] {
  return kinds.map((each, at) => {
    const [kind, answers = {}, name] = typeof each === 'string' ? [each] : each;
    return { id: `${kind}-${at + 1}`, kind, answers, ...(name !== undefined && { name }) };
  });
}

/** What blocks make on an outline of 120 × 120 mm, or on the outline and the parts of a construction. */
export function composed(blocks: Block[], kind = 'own', answers: Record<string, unknown> = {}): Composed {
  const size = kind === 'own' ? { width: 120, height: 120 } : {};
  const made = constructionOf(kind)?.patternOf({ ...size, ...answers }, blocks);
  if (!made?.ok) throw new Error(made?.problems.join(' ') ?? `There is no construction ${kind}.`);
  return made;
}

/** The item of such a pattern. */
export function itemOf({ pattern, params, blocks }: Composed, construction = 'own'): Item {
  return {
    ...assemble(pattern, {
      id: construction,
      name: 'Drawn',
      now: '2026-01-01T00:00:00.000Z',
      construction,
      params
    }),
    blocks
  };
}

/** What the checks say above a note. */
export function saidOf(item: Item): string[] {
  return review(item, undefined, roomyShop)
    .checked.open.filter(({ severity }) => severity !== 'note')
    .map(({ code, text }) => `${code}: ${text}`);
}

/** The item of blocks on an outline, none of which is refused. */
export function soundItem(
  outline: Record<string, unknown>,
  ...blocks: Parameters<typeof blocksOf>[number][]
): Item {
  const made = composed(blocksOf(...blocks), 'own', outline);
  expect(made.troubles).to.deep.equal([]);
  return itemOf(made);
}
