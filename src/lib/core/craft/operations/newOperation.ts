import { type Item, Operation, type OperationKind } from '$lib/core/documents/item';
import { traitsOf } from './table';

/**
 * A fresh operation of a kind with the usual answers, naming the item’s first piece, line and thread.
 *
 * @returns undefined when the item lacks what the kind must name, as a piece to lay
 *
 * @example
 * newOperation('speed', item) // { do: 'speed', spm: 350 }
 */
export function newOperation(kind: OperationKind, item: Item): Operation | undefined {
  const { start } = traitsOf(kind);
  if (start === null) return undefined;
  const piece = item.pieces[0]?.id;
  const found = Operation.safeParse({
    // Keys a kind does not have are dropped by its schema.
    pieceId: piece,
    pieceIds: piece === undefined ? undefined : [piece],
    lineId: item.lines[0]?.id,
    threadId: item.threads[0]?.id,
    covers: item.lines[0]?.id,
    ...start,
    do: kind
  });
  return found.success ? found.data : undefined;
}
