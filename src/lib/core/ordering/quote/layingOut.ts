import type { Shop } from '$lib/core/documents/shop';
import type { BatchPlan } from '$lib/core/ordering/day';
import type { ThreadRow } from './needs';

/** Hoops of one size that an order wants. */
export interface HoopRow {
  id: string;
  name: string;
  hoopings: number;
  /** As many are in use on the heads of one machine at the same time. */
  atOnce: number;
}

/** The hoops of an order: how many hoopings each size has, and how many are wanted side by side. */
export function orderHoops(
  { hoopings }: Pick<BatchPlan, 'hoopings'>,
  { hoops }: Pick<Shop, 'hoops'>
): HoopRow[] {
  const found = new Map<string, HoopRow>();
  for (const { hoopId: id, heads } of hoopings) {
    const name = hoops.find((hoop) => hoop.id === id)?.name ?? id;
    const before = found.get(id) ?? { id, name, hoopings: 0, atOnce: 0 };
    found.set(id, {
      ...before,
      hoopings: before.hoopings + 1,
      atOnce: Math.max(before.atOnce, heads.length)
    });
  }
  return [...found.values()];
}

/** The most places at which spools of a colour end that are worth telling. */
const MOST_ENDS = 4;

/**
 * Where the spools of a colour run out, in words, the heads of one place together.
 *
 * @example
 * endWords(red) // ['runs out on Three heads in stop 4 of copy 3, Signal lamp patch, on heads 1, 2, 3']
 */
export function endWords({ ends }: Pick<ThreadRow, 'ends'>): string[] {
  const places = new Map<string, number[]>();
  for (const { station, itemName, head, copy, stop } of ends) {
    const place = `runs out on ${station} in stop ${stop} of copy ${copy}, ${itemName}`;
    places.set(place, [...(places.get(place) ?? []), head]);
  }
  return [...places]
    .slice(0, MOST_ENDS)
    .map(([place, heads]) => (heads.length > 1 ? `${place}, on heads ${heads.join(', ')}` : place));
}
