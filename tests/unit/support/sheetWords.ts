import { findStop, type Item } from '$lib/core/documents/item';

/** The merged sheet of an item in few words: `S` and the name of a stop, or what hands do and to which piece. */
export function sheetWords(item: Item): string[] {
  return item.steps.map((step) => {
    if (step.kind === 'stop') return `S ${findStop(item, step.stopId)?.name ?? '?'}`;
    const { op } = step;
    const names =
      'pieceIds' in op
        ? (op.pieceIds ?? [])
        : 'pieceId' in op && op.pieceId !== undefined
          ? [op.pieceId]
          : [];
    const face = op.do === 'lay' ? [`${op.side} ${op.face}`] : [];
    return [op.do, ...names, ...face].join(' ');
  });
}
