import { found } from '$lib/core/craft/findings';
import { gapsOf, LEAST_OPENING_MM, type StackState } from '$lib/core/craft/stack';
import { findPiece, type Item } from '$lib/core/documents/item';
import { stepDoes } from '$lib/core/craft/operations';
import type { Check, Finding } from './finding';

/** What is sewn right sides together with an opening, and sewn to other parts without ever being turned. */
export const neverTurned: Check = ({ item, trace }) =>
  item.steps.flatMap((_, at): Finding[] => {
    const state = trace[at]?.state;
    const next = item.steps[at + 1];
    const ends = next === undefined || stepDoes(next, 'clamp') !== null;
    if (!ends || !state || state.hoop.where !== 'unhooped') return [];
    const seam = item.steps.slice(0, at + 1).findLastIndex(({ kind }) => kind === 'stop');
    const inside = turnedLater(item, seam) ? [] : meeting(state, item);
    if (inside.length < 2) return [];
    return [found('faces/never-turned', item.steps[seam]?.id ?? null, { pieces: inside.join(' and ') })];
  });

/** Sewing parts together turns what was turned neither in the hoop nor beside it. */
function turnedLater({ steps }: Item, at: number): boolean {
  return steps
    .slice(at + 1)
    .some((step) => step.kind === 'hand' && step.op.do === 'sew-up' && step.op.how === 'turn');
}

/** Names of the pieces that are sewn to others later and meet face to face in a gap the work could be turned through. */
function meeting(state: StackState, item: Item): string[] {
  if (state.turns > 0) return [];
  for (const { below, opening } of gapsOf(state)) {
    if (opening === Infinity || opening < LEAST_OPENING_MM) continue;
    const sides = [state.layers.slice(0, below + 1).reverse(), state.layers.slice(below + 1)];
    const faces = sides.flatMap(
      (layers) => layers.find((layer) => findPiece(item, layer.pieceId)?.seenLater) ?? []
    );
    const [lower, upper] = faces;
    if (lower?.face === 'up' && upper?.face === 'down') return [lower.name, upper.name];
  }
  return [];
}
