import type { Operation } from '$lib/core/documents/item';
import { traitsOf } from './table';
import type { Wording, WordingContext } from './words';

/**
 * The words of a hand step, made from its operation alone, so that the sheet can never say one thing and
 * mean another. Faces are said as the maker sees them: a piece whose right side is down in the model is
 * “right side to you” when the hoop is turned over.
 *
 * @example
 * wordingOf(layBack, { item, unit: 'mm', hoop: { where: 'off', turned: true } }).title
 * // 'Lay BACK, right side to you'
 */
export function wordingOf(op: Operation, context: WordingContext): Wording {
  return traitsOf(op.do).wording(op, context);
}
