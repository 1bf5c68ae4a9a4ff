import { extents, type Path, pathLength, type Point } from '$lib/core/base/geometry';
import type { Line } from '$lib/core/documents/item';

/** A side of an item as it lies before the maker. */
export type Side = 'top' | 'bottom' | 'left' | 'right';

/** How far from a corner or a crossing seam an opening keeps, where there is room, mm. */
const CLEAR_MM = 10;
/** Places of an opening that are compared lie so far apart, mm. */
const STEP_MM = 1;
/** Turns of a path below this are a straight side, in radians. */
const STRAIGHT = 0.03;
/** A point farther from the seam than this does not meet it, mm. */
const MEETS_MM = 3;

/** A seam with a gap in it; its path begins outside the gap. */
export interface OpenSeam {
  path: Path;
  gaps: Line['gaps'];
}

/**
 * Leaves a seam open to turn through: in the middle of a side where one is asked, else on a straight side and not round a
 * corner or a curve, clear of places where other seams meet it; of places alike on the side nearest the maker, in its middle.
 *
 * @param opening mm
 * @param avoid points where something crosses the seam
 *
 * @example
 * seamOpening(shapePath('rectangle', 160, 200), 80).gaps // [{ from: 400, to: 480 }]: the middle of the lower side
 */
export function seamOpening(
  seam: Path,
  opening: number,
  { side, avoid = [] }: { side?: Side; avoid?: readonly Point[] } = {}
): OpenSeam {
  const whole = pathLength(seam);
  const wide = Math.min(opening, whole / 2);
  const middle = side ? alongAt(seam, middleOf(seam, side)) : straightest(seam, whole, wide, avoid);
  const from = middle - wide / 2;
  if (from >= 0 && from + wide <= whole) return { path: seam, gaps: [{ from, to: from + wide }] };
  // A path that begins in the gap is begun opposite.
  const start = (middle + whole / 2) % whole;
  const moved = (from - start + 2 * whole) % whole;
  return { path: begunAt(seam, start), gaps: [{ from: moved, to: moved + wide }] };
}

function middleOf(seam: Path, side: Side): Point {
  const { minX, maxX, minY, maxY } = extents(seam);
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  return { top: [x, minY], bottom: [x, maxY], left: [minX, y], right: [maxX, y] }[side] as Point;
}

/** Corners of a path: how far along it each lies, and by how much it turns there, radians. */
function cornersOf({ points }: Path): { along: number; turn: number }[] {
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

/** Where the middle of an opening lies best, mm along the path. */
function straightest(seam: Path, whole: number, wide: number, avoid: readonly Point[]): number {
  const cells = Math.max(1, Math.ceil(whole / STEP_MM));
  const cellOf = (along: number): number => Math.min(cells - 1, Math.floor(along / STEP_MM));
  const turns = new Array<number>(cells).fill(0);
  for (const { along, turn } of cornersOf(seam)) turns[cellOf(along)] = (turns[cellOf(along)] ?? 0) + turn;
  const meets = new Array<number>(cells).fill(0);
  for (const point of avoid) {
    const along = alongAt(seam, point);
    const [x, y] = pointAt(seam, along);
    if (Math.hypot(x - point[0], y - point[1]) <= MEETS_MM) meets[cellOf(along)] = 1;
  }
  const reach = Math.min(Math.floor((cells - 1) / 2), Math.ceil((wide / 2 + CLEAR_MM) / STEP_MM));
  const turned = roundSums(turns, reach);
  const met = roundSums(meets, reach);
  const clear = roundDistances(turns.map((turn) => turn > STRAIGHT));
  const places = turns.map((_, at) => ({
    middle: at * STEP_MM,
    turn: Math.floor((turned[at] ?? 0) / STRAIGHT),
    met: met[at] ?? 0,
    low: pointAt(seam, at * STEP_MM)[1],
    clear: clear[at] ?? 0
  }));
  const better = (a: (typeof places)[number], b: (typeof places)[number]): number =>
    a.met - b.met || a.turn - b.turn || Math.round((b.low - a.low) / 5) || b.clear - a.clear;
  return places.reduce((best, place) => (better(place, best) < 0 ? place : best)).middle;
}

/** Sums of a ring of values, each with so many neighbours on either side. @example roundSums([1, 0, 0, 2], 1) // [3, 1, 2, 3] */
function roundSums(ring: readonly number[], reach: number): number[] {
  const at = (index: number): number => ring.at(index % ring.length) ?? 0;
  let sum = 0;
  for (let index = -reach; index <= reach; index++) sum += at(index);
  return ring.map((_, index) => {
    const own = sum;
    sum += at(index + reach + 1) - at(index - reach);
    return own;
  });
}

/** How far each place of a ring is from the next that is marked, either way. @example roundDistances([true, false, false]) // [0, 1, 1] */
function roundDistances(marked: readonly boolean[]): number[] {
  const found = marked.map((is) => (is ? 0 : Infinity));
  const pass = (indexes: readonly number[], before: -1 | 1): void => {
    for (const index of [...indexes, ...indexes])
      found[index] = Math.min(found[index] ?? 0, (found.at((index + before) % found.length) ?? Infinity) + 1);
  };
  const forward = found.map((_, index) => index);
  pass(forward, -1);
  pass(forward.toReversed(), 1);
  return found;
}

/** How far along a path the place nearest to a point lies, mm. */
function alongAt({ points, closed }: Path, [x, y]: Point): number {
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
function pointAt(path: Path, along: number): Point {
  const { at, share } = sideAt(path, along);
  const [ax, ay] = path.points[at] ?? [0, 0];
  const [bx, by] = path.points[(at + 1) % path.points.length] ?? [0, 0];
  return [ax + share * (bx - ax), ay + share * (by - ay)];
}

/** A closed path that begins so far along. */
function begunAt(path: Path, along: number): Path {
  const { at, share } = sideAt(path, along);
  const { points } = path;
  return share === 0
    ? { closed: true, points: [...points.slice(at), ...points.slice(0, at)] }
    : { closed: true, points: [pointAt(path, along), ...points.slice(at + 1), ...points.slice(0, at + 1)] };
}
