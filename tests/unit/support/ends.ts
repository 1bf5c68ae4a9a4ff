import type { Item } from '$lib/core/documents/item';
import { defaultShop, type Shop } from '$lib/core/documents/shop';
import { review } from '$lib/core/making/checks';
import { outside, type Shown, sidesOf, visibleThreads } from '$lib/core/craft/stack';

/** The faces of a finished item, what lies hidden, and how many stops are seen where. */
export interface End {
  front: string[];
  back: string[];
  lining: string[];
  hidden: string[];
  threads: Record<string, number>;
}

const base = defaultShop('shop');
/** A shop whose largest hoop takes every construction. */
export const roomyShop: Shop = {
  ...base,
  hoops: [
    ...base.hoops,
    {
      id: 'large',
      name: 'Large hoop',
      field: { width: 240, height: 320 },
      ring: { width: 290, height: 370 },
      capSpm: null
    }
  ]
};

/** What one has of an item in the end. */
export function endOf(item: Item): End {
  const { trace } = review(item, undefined, roomyShop);
  const state = trace.at(-1)?.state;
  if (!state) throw new Error('The item has no steps.');
  const { front, back, lining, hidden } = outside(state, item);
  const said = (shown: Shown[]): string[] =>
    [
      ...new Set(shown.map(({ layer, rightSide }) => `${layer.name} ${rightSide ? 'right' : 'wrong'}`))
    ].sort();
  const threads: Record<string, number> = {};
  for (const seen of visibleThreads(state)) threads[sidesOf(seen)] = (threads[sidesOf(seen)] ?? 0) + 1;
  return {
    front: said(front),
    back: said(back),
    lining: said(lining),
    hidden: hidden.map(({ name }) => name),
    threads
  };
}
