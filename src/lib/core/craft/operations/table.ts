import type { Operation, OperationKind } from '$lib/core/documents/item';
import { assemblingTraits } from './assembling';
import { machineTraits } from './atTheMachine';
import { cuttingTraits } from './cutting';
import { finishingTraits } from './finishing';
import { hoopTraits } from './hooping';
import { ironingTraits } from './ironing';
import { layingTraits } from './laying';
import { loadingTraits } from './loading';
import type { Traits, TraitsOf } from './traits';

/** The one table of operations, in the order of the work. */
const TABLE = {
  ...hoopTraits,
  ...layingTraits,
  ...ironingTraits,
  ...cuttingTraits,
  ...machineTraits,
  ...loadingTraits,
  ...finishingTraits,
  ...assemblingTraits
} satisfies TraitsOf<OperationKind>;

/** Every kind of operation, in the order of the work. */
export const OPERATION_KINDS = Object.keys(TABLE) as OperationKind[];

/**
 * What is known of a kind of operation.
 *
 * @example
 * traitsOf('trim').mark // 'cut'
 */
export function traitsOf<K extends OperationKind>(kind: K): Traits<K>;
export function traitsOf(kind: OperationKind): Traits<OperationKind> {
  // Each kind has the traits of its own operation: the kind that picks them is the kind they are asked about.
  return TABLE[kind] as unknown as Traits<OperationKind>;
}

/** Whether a hand step is of a kind that has a trait; a step without an operation is not. */
export function isKindOf(
  op: Pick<Operation, 'do'> | null,
  holds: (traits: Traits<OperationKind>) => boolean
): boolean {
  return op !== null && holds(traitsOf(op.do));
}
