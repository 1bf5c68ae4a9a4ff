import type { OperationOf, Stop } from '$lib/core/documents/item';

/** A file run in between, timed as the lettering stop it is. */
export function asStop({ stitches, fileName, threadId }: OperationOf<'insert-run'>): Stop {
  return {
    id: 'run',
    number: null,
    name: fileName,
    role: 'lettering',
    confidence: 1,
    threadId: threadId ?? '',
    visible: 'front',
    countSource: 'maker',
    phases: [{ stitches, attended: false }],
    lineIds: [],
    halts: true,
    protected: false,
    through: false
  };
}
