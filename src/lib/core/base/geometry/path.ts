import { z } from 'zod';

/** No hoop, cloth or table reaches further from the middle, mm. */
const FURTHEST_MM = 2500;
/** Points of one path: more than any outline drawn or stitched. */
const MOST_POINTS = 20_000;

const Coordinate = z
  .number()
  .min(-FURTHEST_MM, 'lies more than 2.5 m from the middle')
  .max(FURTHEST_MM, 'lies more than 2.5 m from the middle');

/** A point in hoop coordinates, mm: origin at the centre of the stitch field, x right, y down from above. */
export const Point = z.tuple([Coordinate, Coordinate]);
export type Point = z.infer<typeof Point>;

/** Points so near are one, mm. */
const SAME_MM = 0.5;

/** A line of straight pieces; curves are flattened before they get here. */
export const Path = z.object({ closed: z.boolean(), points: z.array(Point).min(2).max(MOST_POINTS) });
export type Path = z.infer<typeof Path>;

export interface Extents {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
  width: number;
  height: number;
}

/**
 * The smallest upright box round a path, mm.
 *
 * @example
 * extents(rectangle(30, 94)).height // 94
 */
export function extents(path: Path): Extents {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const [x, y] of path.points) {
    minX = Math.min(minX, x);
    minY = Math.min(minY, y);
    maxX = Math.max(maxX, x);
    maxY = Math.max(maxY, y);
  }
  return { minX, minY, maxX, maxY, width: maxX - minX, height: maxY - minY };
}

/**
 * The smallest upright box round several paths, mm; undefined where there is none.
 *
 * @example
 * extentsOfAll([rectangle(30, 94), rectangle(40, 10)])?.width // 40
 */
export function extentsOfAll(paths: readonly Path[]): Extents | undefined {
  const boxes = paths.map(extents);
  if (boxes.length === 0) return undefined;
  const minX = Math.min(...boxes.map((each) => each.minX));
  const minY = Math.min(...boxes.map((each) => each.minY));
  const maxX = Math.max(...boxes.map((each) => each.maxX));
  const maxY = Math.max(...boxes.map((each) => each.maxY));
  return { minX, minY, maxX, maxY, width: maxX - minX, height: maxY - minY };
}

/**
 * A path as the `d` of an SVG path, to a thousandth of a millimetre.
 *
 * @example
 * pathData(segment(0, 0, 10, 5)) // 'M0 0L10 5'
 */
export function pathData({ points, closed }: Path): string {
  const mm = (value: number): number => Math.round(value * 1000) / 1000 + 0;
  const lines = points.map(([x, y], at) => `${at === 0 ? 'M' : 'L'}${mm(x)} ${mm(y)}`);
  return lines.join('') + (closed ? 'Z' : '');
}

/**
 * Length along a path, mm, the closing piece included.
 *
 * @example
 * pathLength(rectangle(30, 94)) // 248
 */
export function pathLength(path: Path): number {
  let sum = 0;
  for (let at = 1; at < path.points.length; at++) sum += distance(path.points[at - 1], path.points[at]);
  if (path.closed) sum += distance(path.points[path.points.length - 1], path.points[0]);
  return sum;
}

/**
 * Area inside a closed path, mm², by the shoelace formula; 0 for an open one.
 *
 * @example
 * pathArea(rectangle(30, 94)) // 2820
 */
export function pathArea(path: Path): number {
  if (!path.closed) return 0;
  let twice = 0;
  path.points.forEach(([x, y], at) => {
    const [nextX, nextY] = path.points[(at + 1) % path.points.length] ?? [x, y];
    twice += x * nextY - nextX * y;
  });
  return Math.abs(twice) / 2;
}

/** A straight line between two points. */
export function segment(x1: number, y1: number, x2: number, y2: number): Path {
  return {
    closed: false,
    points: [
      [x1, y1],
      [x2, y2]
    ]
  };
}

/** An upright rectangle between two corners, as a closed path. */
export function box(left: number, top: number, right: number, bottom: number): Path {
  return {
    closed: true,
    points: [
      [left, top],
      [right, top],
      [right, bottom],
      [left, bottom]
    ]
  };
}

/** The path moved along, mm. */
export function shifted(path: Path, dx: number, dy: number): Path {
  return { ...path, points: path.points.map(([x, y]): Point => [x + dx, y + dy]) };
}

/** The path turned about the origin by quarter turns, clockwise as seen from above. */
export function quarterTurned(path: Path, turns: number): Path {
  const once = ([x, y]: Point): Point => [-y + 0, x];
  let points = path.points;
  for (let turn = 0; turn < ((turns % 4) + 4) % 4; turn++) points = points.map(once);
  return { ...path, points };
}

/** The path seen from behind: x mirrored, as when the hoop is turned over left to right. */
export function mirrored(path: Path): Path {
  return { ...path, points: path.points.map(([x, y]): Point => [x === 0 ? 0 : -x, y]) };
}

function distance(from: Point | undefined, to: Point | undefined): number {
  return from && to ? Math.hypot(to[0] - from[0], to[1] - from[1]) : 0;
}

/**
 * Points without those that lie on the one before, the last on the first included.
 *
 * @example
 * distinct([[0, 0], [0, 0], [5, 0], [0, 0]]) // [[0, 0], [5, 0]]
 */
export function distinct(points: readonly Point[]): Point[] {
  const kept = points.filter(([x, y], at) => {
    const before = points[at - 1];
    return !before || before[0] !== x || before[1] !== y;
  });
  const [first, last] = [kept[0], kept.at(-1)];
  return kept.length > 1 && first && last && first[0] === last[0] && first[1] === last[1]
    ? kept.slice(0, -1)
    : kept;
}

/**
 * How often a path goes the way round its own box: 1 for a rectangle, less for a line, far more for what is all spikes.
 *
 * @example
 * jaggedness(shapePath('rectangle', 40, 20)) // 1
 */
export function jaggedness(path: Path): number {
  const { width, height } = extents(path);
  const round = 2 * (width + height);
  return round === 0 ? 0 : pathLength(path) / round;
}

/** Whether two paths run alike from point to point. */
export function samePath(one: Path, other: Path): boolean {
  return (
    one.closed === other.closed &&
    one.points.length === other.points.length &&
    one.points.every(([x, y], at) => {
      const [ox, oy] = other.points[at] ?? [Infinity, Infinity];
      return Math.abs(x - ox) <= SAME_MM && Math.abs(y - oy) <= SAME_MM;
    })
  );
}
