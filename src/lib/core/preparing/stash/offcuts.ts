import { isStabiliserKind } from '$lib/core/documents/item';
import type { Hoop, OffcutRule } from '$lib/core/documents/shop';
import type { ClothEntry } from '$lib/core/documents/stash';

/**
 * Whether an offcut is worth keeping by the maker’s rule: stabiliser when it fits the ring of the smallest hoop with its
 * margin, whichever way round; anything else when its shorter side is long enough. The rule may ask either of every kind.
 *
 * @param size of the offcut, mm
 * @param hoops of the shop
 *
 * @example
 * // A ring 140 x 140 with 25 mm on each side wants 190 x 190.
 * worthKeeping({ width: 190, height: 260 }, 'tear-away', { by: 'kind', side: 100, margin: 25 }, hoops) // true
 */
export function worthKeeping(
  size: { width: number; height: number },
  kind: ClothEntry['kind'],
  rule: OffcutRule,
  hoops: readonly Hoop[]
): boolean {
  const byRing = rule.by === 'ring' || (rule.by === 'kind' && isStabiliserKind(kind));
  if (!byRing) return Math.min(size.width, size.height) >= rule.side;
  return hoops.some(({ ring }) => fitsEitherWay(size, grown(ring, rule.margin)));
}

/** A size with a margin on each side. */
export function grown(
  { width, height }: { width: number; height: number },
  margin: number
): { width: number; height: number } {
  return { width: width + 2 * margin, height: height + 2 * margin };
}

/** Whether a size fits into another as it stands or turned. */
export function fitsEitherWay(
  into: { width: number; height: number },
  size: { width: number; height: number }
): boolean {
  const spare = 0.01;
  return (
    (size.width <= into.width + spare && size.height <= into.height + spare) ||
    (size.height <= into.width + spare && size.width <= into.height + spare)
  );
}
