import { found } from '$lib/core/craft/findings';
import { editStep, type Item } from '$lib/core/documents/item';
import { samplesOf } from '$lib/core/craft/stack';
import { type Check, distanceTo, type Finding, runsOf } from './finding';

/** Nothing hard may lie closer to a path than this, mm. */
const CLEAR_MM = 6;
const SAFE_MM = 12;

/** Pins that stand in the path of the needle. */
export const pins: Check = (context) => {
  const said = new Set<string>();
  return runsOf(context).flatMap(({ stepId, called, paths, before }): Finding[] =>
    before.layers.flatMap(({ pieceId, name, pins: ring }): Finding[] => {
      if (!ring || said.has(pieceId)) return [];
      const close = paths.some((path) =>
        samplesOf(path).some((point) => distanceTo(ring, point, CLEAR_MM) < CLEAR_MM)
      );
      if (!close) return [];
      said.add(pieceId);
      const pinned = pinStep(context.item, pieceId);
      return [
        {
          ...found('pins/close', stepId, { piece: name, called, leastMm: CLEAR_MM }, pieceId),
          ...(pinned && { fix: { label: 'Pin further out', apply: pinned.further } })
        }
      ];
    })
  );
};

function pinStep(item: Item, pieceId: string): { id: string; further: (item: Item) => Item } | undefined {
  for (const step of item.steps) {
    if (step.kind !== 'hand') continue;
    const { op } = step;
    if (op.do === 'pin' && op.pieceId === pieceId)
      return {
        id: step.id,
        further: (before) => editStep(before, step.id, { op: { ...op, away: SAFE_MM } })
      };
    if (op.do === 'lay' && op.pieceId === pieceId && op.hold.by === 'pins') {
      const hold = { ...op.hold, away: SAFE_MM };
      return { id: step.id, further: (before) => editStep(before, step.id, { op: { ...op, hold } }) };
    }
  }
  return undefined;
}
