import { type Path, pathLength, type Point } from './path';

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

/**
 * Corners of a closed path: how far along it each lies, mm, and by how much it turns there, radians.
 *
 * @example
 * cornersOf(shapePath('rectangle', 160, 200)).length // 4
 */
export function cornersOf({ points }: Path): { along: number; turn: number }[] {
  let along = 0;
  return points.map((point, at) => {
    const before = points.at(at - 1) ?? point;
    const next = points[(at + 1) % points.length] ?? point;
    const turn =
      Math.atan2(next[1] - point[1], next[0] - point[0]) -
      Math.atan2(point[1] - before[1], point[0] - before[0]);
    const corner = { along, turn: Math.abs(Math.atan2(Math.sin(turn), Math.cos(turn))) };
    along += Math.hypot(next[0] - point[0], next[1] - point[1]);
    return corner;
  });
}

/** What turns by less is straight, by more is a corner, and between is a piece of a curve, radians. */
const BEND = { least: Math.PI / 180, most: Math.PI / 6 };
/** Straight pieces of a curve are not longer, mm. */
const PIECE_MM = 12;

/**
 * How many corners a closed path has, and how much of it runs in curves.
 *
 * @returns mm of curve
 *
 * @example
 * bendsOf(shapePath('rectangle', 160, 200)) // { corners: 4, curve: 0 }
 */
export function bendsOf(path: Path): { corners: number; curve: number } {
  const all = cornersOf(path);
  const whole = pathLength(path);
  const bends = ({ turn }: { turn: number }): boolean => turn > BEND.least && turn <= BEND.most;
  const curve = all.reduce((sum, from, at) => {
    const to = all[at + 1] ?? all[0] ?? from;
    const long = (at + 1 < all.length ? to.along : whole) - from.along;
    return long <= PIECE_MM && (bends(from) || bends(to)) ? sum + long : sum;
  }, 0);
  return { corners: all.filter(({ turn }) => turn > BEND.most).length, curve };
}
