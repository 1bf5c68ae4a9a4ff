import { CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { defaultShop } from '$lib/core/documents/shop';
import { review, type Review } from '$lib/core/making/checks';
import { assemble } from '$lib/core/reading/matching';

/** A construction with its usual answers, planned, simulated and checked. */
export function made(kind: string, answers: Record<string, unknown> = {}): Review {
  const construction = CONSTRUCTIONS.find((each) => each.kind === kind);
  const pattern = construction?.patternOf({ ...construction.defaults, ...answers });
  if (!pattern?.ok) throw new Error(`There is no ${kind}.`);
  const item = assemble(pattern.pattern, {
    id: kind,
    name: kind,
    now: '2026-01-01T00:00:00.000Z',
    construction: pattern.construction,
    params: pattern.params
  });
  return review(item, undefined, defaultShop('made'));
}
