import { bendsOf, offsetPath, pathLength } from '$lib/core/base/geometry';
import { findLine, type Hold, type Item, type OperationOf } from '$lib/core/documents/item';
import type { HandTimeKey, HandTimes, Machine } from '$lib/core/documents/shop';

/** What a hand time depends on besides the operation. */
export interface Timing {
  item: Item;
  hands: HandTimes;
  machine: Machine;
}

/** A hand time so often; `other` brings its own seconds. */
export type TimeSpent =
  { key: HandTimeKey; times: number } | { key: 'other'; times: number; seconds: number };

/** Millimetres between the clips of a curve. */
export const CLIP_SPACING_MM = 12;

/** Hand times of waits. */
export const WAIT_KEY = {
  'fray-fluid': 'waitFray',
  glue: 'waitGlue',
  soak: 'waitSoak',
  dry: 'waitDry'
} as const satisfies Record<OperationOf<'wait'>['why'], HandTimeKey>;

/** A hand time, once where not said. */
export function spent(key: HandTimeKey, times = 1): TimeSpent {
  return { key, times };
}

/** Time to hold a piece: tape by the strip, but never less than the least. */
export function holdTime(hold: Hold, { hands }: Timing): TimeSpent[] {
  switch (hold.by) {
    case 'tape':
      return [
        hands.tapeStrip * hold.strips >= hands.tapeLeast
          ? spent('tapeStrip', hold.strips)
          : spent('tapeLeast')
      ];
    case 'pins':
      return [spent('pin')];
    case 'nothing':
    case 'hand':
      return [];
    default:
      return [spent(hold.by)];
  }
}

/** Corners and curves of a line; nothing where it is gone. */
export function bendsAlong(item: Item, lineId: string): ReturnType<typeof bendsOf> {
  const line = findLine(item, lineId);
  return line ? bendsOf(line.path) : { corners: 0, curve: 0 };
}

/** Time to cut round a line. */
export function cutOutTime(
  {
    lineId,
    alsoLineIds = [],
    margin
  }: { lineId: string; alsoLineIds?: string[] | undefined; margin: number },
  { item }: Timing
): TimeSpent[] {
  const along = [lineId, ...alsoLineIds].reduce((sum, id) => sum + alongCm(item, id, margin), 0);
  return [spent('cutOut', 1 + alsoLineIds.length), spent('cutOutPerCm', along)];
}

/** Length of a line moved outwards, cm; a line the item does not have counts nothing. */
export function alongCm(item: Item, lineId: string, outwardsMm: number): number {
  const path = findLine(item, lineId)?.path;
  if (!path) return 0;
  const moved = path.closed && outwardsMm !== 0 ? (offsetPath(path, outwardsMm) ?? path) : path;
  return pathLength(moved) / 10;
}
