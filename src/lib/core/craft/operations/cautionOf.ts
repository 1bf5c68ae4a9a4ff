import type { Operation } from '$lib/core/documents/item';
import { traitsOf } from './table';

/** Where the work can hurt: the usual caution for an operation, or undefined. Local rules come first. */
export function cautionOf(op: Operation): string | undefined {
  const { caution } = traitsOf(op.do);
  return (typeof caution === 'function' ? caution(op) : caution) ?? undefined;
}
