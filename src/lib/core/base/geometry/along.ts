import type { Path, Point } from './path';

/** How far along a path the place nearest to a point lies, mm. */
export function alongAt({ points, closed }: Path, [x, y]: Point): number {
  let [along, best, nearest] = [0, 0, Infinity];
  const sides = closed ? points.length : points.length - 1;
  for (let at = 0; at < sides; at++) {
    const [ax, ay] = points[at] ?? [0, 0];
    const [bx, by] = points[(at + 1) % points.length] ?? [0, 0];
    const length = Math.hypot(bx - ax, by - ay);
    const share = length === 0 ? 0 : ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length ** 2;
    const kept = Math.min(1, Math.max(0, share));
    const away = Math.hypot(ax + kept * (bx - ax) - x, ay + kept * (by - ay) - y);
    if (away < nearest - 1e-9) [nearest, best] = [away, along + kept * length];
    along += length;
  }
  return best;
}

/** The side of a closed path that a place so far along lies on: its first corner, and the share of it that is passed. */
function sideAt({ points }: Path, along: number): { at: number; share: number } {
  let passed = 0;
  for (let at = 0; at < points.length; at++) {
    const [ax, ay] = points[at] ?? [0, 0];
    const [bx, by] = points[(at + 1) % points.length] ?? [0, 0];
    const length = Math.hypot(bx - ax, by - ay);
    if (passed + length > along) return { at, share: (along - passed) / length };
    passed += length;
  }
  return { at: 0, share: 0 };
}

/** The point so far along a closed path. */
export function pointAt(path: Path, along: number): Point {
  const { at, share } = sideAt(path, along);
  const [ax, ay] = path.points[at] ?? [0, 0];
  const [bx, by] = path.points[(at + 1) % path.points.length] ?? [0, 0];
  return [ax + share * (bx - ax), ay + share * (by - ay)];
}

/** A closed path that begins so far along. */
export function begunAt(path: Path, along: number): Path {
  const { at, share } = sideAt(path, along);
  const { points } = path;
  return share === 0
    ? { closed: true, points: [...points.slice(at), ...points.slice(0, at)] }
    : { closed: true, points: [pointAt(path, along), ...points.slice(at + 1), ...points.slice(0, at + 1)] };
}
