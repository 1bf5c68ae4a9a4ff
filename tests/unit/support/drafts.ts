import type { Operation } from '$lib/core/documents/item';
import type { withMoves } from '$lib/core/making/interpret/moves';
import { linesOfText } from '$lib/core/reading/pages';
import { readSheet } from '$lib/core/reading/sheets';

export type Step = Parameters<typeof withMoves>[0][number];

/** Steps of a draft, each from a sentence of its own. */
export const stepsFrom = (...ops: (Operation | { stop: string })[]): Step[] =>
  ops.map((op, at) => ({ id: `s${at}`, op, action: at, sentence: at }));
export const did = (steps: readonly Step[]): string[] =>
  steps.map(({ op, action }) => `${action === null ? '+' : ''}${'do' in op ? op.do : op.stop}`);
export const HOOP: Extract<Operation, { do: 'hoop' }> = {
  do: 'hoop',
  pieceIds: ['tear-away'],
  sticky: false
};
export const sheetOf = (...lines: string[]): ReturnType<typeof readSheet> => readSheet(linesOfText(lines));
