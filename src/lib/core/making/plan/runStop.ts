import type { OwnRun } from '$lib/core/craft/operations';
import type { Stop } from '$lib/core/documents/item';

/** What is stitched though no stop of the file does it, timed as the stop it would be. */
export function asStop({ stitches, name, role, threadId = '' }: OwnRun): Stop {
  return {
    id: 'run',
    number: null,
    name,
    role,
    confidence: 1,
    threadId,
    visible: 'front',
    countSource: 'maker',
    phases: [{ stitches, attended: false }],
    lineIds: [],
    halts: true,
    protected: false,
    through: false
  };
}
