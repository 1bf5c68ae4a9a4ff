import type { AnyConstruction } from '$lib/core/craft/constructions';
import type { Shop } from '$lib/core/documents/shop';
import { review, type Review } from '$lib/core/making/checks';
import { assemble } from '$lib/core/reading/matching';

/** A construction with its usual answers, planned in the maker’s own shop. */
export function example(construction: AnyConstruction, shop: Shop): Review | undefined {
  const made = construction.patternOf({});
  if (!made.ok) return undefined;
  const item = assemble(made.pattern, {
    id: 'guide',
    name: construction.name,
    now: '2026-01-01T00:00:00.000Z',
    construction: made.construction,
    params: made.params
  });
  return review(item, undefined, shop);
}
