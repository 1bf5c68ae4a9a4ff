import { roundTo, roundUpForCutting } from '$lib/core/base/units';
import type { Piece, SewnUp } from '$lib/core/documents/item';
import { MARGIN_MM, type Shrinkage, type Sized, type SizingRules } from './sizing';

/** Size of a ring, mm. */
interface Ring {
  width: number;
  height: number;
}

/**
 * What to cut for a cloth that is folded once and sewn up: twice the finished size across the fold, a seam on the three
 * other sides, and on every side at least what the ring wants round the design, which lies in the middle of one half.
 *
 * @param ring outer size, mm
 *
 * @example
 * // A quarter yard, 9 × 44 in, folded at its end and seamed by ½ in, is 8 × 21 ½ in.
 * sewnUpSize({ width: 203.2, height: 546.1, seam: 12.7, fold: 'bottom' }, ring, cloth, rules).cut // 228.6 × 1117.6
 */
export function sewnUpSize(
  { width, height, seam, fold }: SewnUp,
  ring: Ring,
  piece: Pick<Piece, 'use' | 'overrides'>,
  rules: SizingRules,
  shrinkage: Shrinkage = { along: 0, across: 0 }
): Sized {
  const margin = piece.overrides.margin ?? rules.margins[piece.use] ?? MARGIN_MM[piece.use];
  const upright = fold === 'top' || fold === 'bottom';
  const needed = { width: ring.width / 2 + margin, height: ring.height / 2 + margin };
  // From the middle of the design to each edge: to a seam half the finished size, beyond the fold a whole one more.
  const across = (size: number, ringHalf: number): [near: number, far: number] => {
    const side = Math.max(size / 2 + seam, ringHalf);
    return [side, side];
  };
  const folded = (size: number, ringHalf: number): [near: number, far: number] => [
    Math.max(size / 2 + seam, ringHalf),
    Math.max(size * 1.5 + seam, ringHalf)
  ];
  const [left, right] = upright ? across(width, needed.width) : folded(width, needed.width);
  const [top, bottom] = upright ? folded(height, needed.height) : across(height, needed.height);
  const exact = { width: roundTo(left + right, 3), height: roundTo(top + bottom, 3) };
  const washed = {
    width: exact.width / (1 - shrinkage.across / 100),
    height: exact.height / (1 - shrinkage.along / 100)
  };
  const ruled = {
    width: roundUpForCutting(washed.width, rules.rounding),
    height: roundUpForCutting(washed.height, rules.rounding)
  };
  const cut = {
    width: piece.overrides.width ?? ruled.width,
    height: piece.overrides.height ?? ruled.height
  };
  const sewn = {
    width: width * (upright ? 1 : 2) + 2 * seam,
    height: height * (upright ? 2 : 1) + 2 * seam
  };
  const part = (what: Sized['parts'][number]['what'], w: number, h: number): Sized['parts'][number] => ({
    what,
    width: roundTo(w, 3),
    height: roundTo(h, 3)
  });
  const parts = [
    part('covers', width, height),
    part('fold', upright ? 0 : width, upright ? height : 0),
    part('seam', 2 * seam, 2 * seam),
    part('margin', exact.width - sewn.width, exact.height - sewn.height),
    part('shrinkage', washed.width - exact.width, washed.height - exact.height),
    part('rounding', ruled.width - washed.width, ruled.height - washed.height),
    part('own', cut.width - ruled.width, cut.height - ruled.height)
  ];
  // The other half lies beyond the fold.
  const shift = upright ? (cut.height - 2 * top) / 2 : (cut.width - 2 * left) / 2;
  const sign = fold === 'top' || fold === 'left' ? -1 : 1;
  return {
    margin,
    exact,
    cut,
    parts: parts.filter((each) => each.what === 'covers' || each.width !== 0 || each.height !== 0),
    offset: { x: upright ? 0 : roundTo(sign * shift, 3), y: upright ? roundTo(sign * shift, 3) : 0 }
  };
}
