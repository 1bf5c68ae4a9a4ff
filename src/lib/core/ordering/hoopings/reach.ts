import { does } from '$lib/core/craft/operations';
import type { Item } from '$lib/core/documents/item';
import type { Plan } from '$lib/core/documents/plan';
import type { Stage } from './stages';

/**
 * How far the pieces laid in a stage reach beyond the line they cover, mm: the largest of them. Pieces cut to shape before
 * they are laid do not reach beyond anything.
 *
 * @example
 * reachBeyond(tabPlan, tabStage, badgerTab) // 13: a front of 55 × 120 over a line of 30 × 94
 */
export function reachBeyond({ cuts }: Pick<Plan, 'cuts'>, { steps }: Stage, { pieces }: Item): number {
  const laid = new Set(
    steps.flatMap(({ step: { op } }) => {
      const laid = does(op, 'lay');
      return laid?.side === 'above' ? laid.pieceId : [];
    })
  );
  return Math.max(
    0,
    ...cuts.flatMap(({ pieceId, cut, covers }) => {
      const piece = pieces.find(({ id }) => id === pieceId);
      if (!laid.has(pieceId) || piece?.shape !== 'rough') return [];
      return Math.max(cut.width - covers.width, cut.height - covers.height) / 2;
    })
  );
}
