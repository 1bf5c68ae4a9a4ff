import type { Point } from './path';

/** Greatest distance between a curve and its straight pieces where nothing else is asked, mm. */
const CURVE_FLATNESS_MM = 0.05;
/** More pieces than this no curve of an embroidery needs. */
const MOST_PIECES = 2000;

/**
 * A cubic Bézier curve as straight pieces, its first point left out.
 *
 * The number of pieces follows from the bound 3/4 · max |second difference| / n² on the distance between a curve and
 * its chords (Farin, Curves and Surfaces for CAGD).
 *
 * @param flatness greatest distance from the curve, mm
 *
 * @example
 * flattenCubic([0, 0], [0, 0], [9, 0], [9, 0]) // [[9, 0]]: a straight line needs one piece
 */
export function flattenCubic(
  from: Point,
  first: Point,
  second: Point,
  to: Point,
  flatness = CURVE_FLATNESS_MM
): Point[] {
  const bend = (a: Point, b: Point, c: Point): number =>
    Math.hypot(a[0] - 2 * b[0] + c[0], a[1] - 2 * b[1] + c[1]);
  const most = Math.max(bend(from, first, second), bend(first, second, to));
  const straight = isOnSegment(first, from, to) && isOnSegment(second, from, to);
  const pieces = straight
    ? 1
    : Math.min(MOST_PIECES, Math.max(1, Math.ceil(Math.sqrt((0.75 * most) / flatness))));
  return Array.from({ length: pieces }, (_, at): Point => {
    const t = (at + 1) / pieces;
    const u = 1 - t;
    const weigh = (axis: 0 | 1): number =>
      u * u * u * from[axis] +
      3 * u * u * t * first[axis] +
      3 * u * t * t * second[axis] +
      t * t * t * to[axis];
    return [weigh(0), weigh(1)];
  });
}

function isOnSegment(point: Point, from: Point, to: Point): boolean {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.hypot(dx, dy);
  const [px, py] = [point[0] - from[0], point[1] - from[1]];
  if (length < 1e-9) return Math.hypot(px, py) < 1e-9;
  const along = (px * dx + py * dy) / length;
  return Math.abs(px * dy - py * dx) / length < 1e-6 && along >= -1e-6 && along <= length + 1e-6;
}
