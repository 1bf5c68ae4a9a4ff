import { formatLength, type LengthUnit } from '$lib/core/base/units';
import type { CutCloth } from './cloths';
import type { Group, GroupPiece } from './groups';
import type { Unplaced } from './result';

/** The least a piece must reach over its line on every side, mm. */
const LEAST_SPARE_MM = 6;

/**
 * Why pieces found no place, and the nearest way out, in words.
 *
 * @param unplaced how many of each, by key
 * @param cloths those that were tried
 */
export function whyUnplaced(
  unplaced: ReadonlyMap<string, number>,
  group: Group,
  cloths: readonly CutCloth[],
  unit: LengthUnit
): Unplaced[] {
  return [...unplaced].flatMap(([key, count]): Unplaced[] => {
    const piece = group.pieces.find(({ demand }) => demand.key === key);
    if (!piece) return [];
    return [{ key, name: piece.demand.name, count, ...reasonFor(piece, group, cloths, unit) }];
  });
}

function reasonFor(
  { demand, only }: GroupPiece,
  { material }: Group,
  cloths: readonly CutCloth[],
  unit: LengthUnit
): { why: string; wayOut: string } {
  const { width, height } = demand.cut;
  const mark = (mm: number): string => formatLength(mm, unit);
  const near = cloths.filter(({ cloth }) => only === undefined || cloth.id === only || cloth.group === only);
  const size = `${mark(width)} × ${mark(height)}`;
  if (near.length === 0)
    return {
      why: `There is no ${material.name} in the stash, and nothing in the list of what can be bought is of its kind.`,
      wayOut: `Put ${material.name} into the stash, or say under “What can be bought” how it is sold.`
    };
  const fits = (w: number, h: number): boolean =>
    near.some(({ cloth }) => w <= cloth.width + 0.01 && h <= (cloth.height ?? Infinity) + 0.01);
  if (fits(width, height))
    return {
      why: `The ${material.name} there is goes to other pieces.`,
      wayOut:
        only === undefined ? 'Buy more of it, or make fewer.' : 'Put it on another cloth, or make fewer.'
    };
  const mayTurn = demand.grain === 'any' && near.some(({ cloth }) => cloth.turn);
  if (fits(height, width) && !mayTurn)
    return {
      why: `At ${size} it fits only turned by 90 degrees, and then its nap or pattern would run across.`,
      wayOut: `Take a cloth at least ${mark(width)} wide and ${mark(height)} long, or say that the cloth may lie either way.`
    };
  const [short, long] = [Math.min(width, height), Math.max(width, height)];
  const least = {
    width: demand.covers.width + 2 * LEAST_SPARE_MM,
    height: demand.covers.height + 2 * LEAST_SPARE_MM
  };
  const narrower = fits(least.width, least.height) || (mayTurn && fits(least.height, least.width));
  const widest = Math.max(...near.map(({ cloth }) => cloth.width));
  return {
    why: `At ${size} it is larger than any ${material.name} there is; the widest is ${mark(widest)}.`,
    wayOut: narrower
      ? `With ${mark(LEAST_SPARE_MM)} to spare on each side instead of ${mark(demand.margin)} it would fit; or take one at least ${mark(short)} wide and ${mark(long)} long.`
      : `Take one at least ${mark(short)} wide and ${mark(long)} long, or join it from two.`
  };
}
