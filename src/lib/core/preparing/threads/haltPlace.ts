import { findStop, type Item } from '$lib/core/documents/item';
import { coversOver, liesAt, type StackState } from '$lib/core/craft/stack';
import { geometryOf } from '$lib/core/stitching/stitches';

/** Where to halt inside a stop. */
export interface HaltPlace {
  stitch: number;
  /** Why there, in a few words. */
  where: string;
}

/**
 * The least visible place for a halt inside a stop: between two parts of it, where the thread is carried over anyhow;
 * else where something lies over it in the end; else the lowest point, at the front of the hoop.
 *
 * @param from share of the stop from which on the halt may be, and `to` the latest
 * @param last the hoop after the last step
 * @returns the latest place, where nothing is known of the stitches
 *
 * @example
 * haltPlace(topper, edgeStep, 0.6, 0.8, last) // { stitch: 3120, where: 'between two parts' }
 */
export function haltPlace(
  item: Item,
  stepId: string,
  stitches: number,
  from: number,
  to: number,
  last: StackState | undefined
): HaltPlace {
  const step = item.steps.find(({ id }) => id === stepId);
  const stop = step?.kind === 'stop' ? findStop(item, step.stopId) : undefined;
  const own = stop && geometryOf(stop, item);
  if (!own) return { stitch: Math.floor(stitches * to), where: 'as late as the bobbin allows' };
  const { x, y, command } = own.stitches;
  const count = x.length;
  const [first, end] = [Math.ceil(count * from), Math.min(count - 1, Math.floor(count * to))];
  const asStitch = (at: number): number => Math.round((at / count) * stitches);
  for (let at = end; at >= first; at--)
    if (command[at] !== 0) return { stitch: asStitch(at), where: 'between two parts of it' };
  const over = last ? coversOver(last, stepId) : [];
  let lowest = end;
  for (let at = end; at >= first; at--) {
    const point: [number, number] = [x[at] ?? 0, y[at] ?? 0];
    const cover = over.find((layer) => liesAt(layer, point));
    if (cover) return { stitch: asStitch(at), where: `under ${cover.name}` };
    if ((y[at] ?? 0) > (y[lowest] ?? 0)) lowest = at;
  }
  return { stitch: asStitch(lowest), where: 'on the lower edge' };
}
