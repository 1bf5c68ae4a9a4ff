import type { Hoop, Machine } from '$lib/core/documents/shop';
import type { Area } from '$lib/core/solvers/nesting';

/**
 * The part of a field that every needle of a job reaches and that stays clear of the ring. The outer needles of some
 * machines lose a strip at one side.
 *
 * @param needles numbers of the needles that stitch, from 1; every needle where empty
 * @throws RangeError when nothing is left of the field
 *
 * @example
 * areaOf({ ...hoop100, safe: 2 }, oneNeedle, []) // { minX: -48, minY: -48, maxX: 48, maxY: 48 }
 */
export function reachedArea(
  { name, field, safe = 0 }: Pick<Hoop, 'name' | 'field' | 'safe'>,
  { unreached = [] }: Pick<Machine, 'unreached'>,
  needles: readonly number[]
): Area {
  const lost = unreached.filter((_, at) => needles.length === 0 || needles.includes(at + 1));
  const left = Math.max(0, ...lost.map((each) => each.left));
  const right = Math.max(0, ...lost.map((each) => each.right));
  const area = {
    minX: -field.width / 2 + Math.max(safe, left),
    minY: -field.height / 2 + safe,
    maxX: field.width / 2 - Math.max(safe, right),
    maxY: field.height / 2 - safe
  };
  if (area.maxX <= area.minX || area.maxY <= area.minY)
    throw new RangeError(`Nothing of the field of ${name} is left for these needles.`);
  return area;
}
