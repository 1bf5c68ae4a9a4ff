import { minkowskiDiffD, ramerDouglasPeuckerD, unionD, FillRule, isPositiveD } from 'clipper2-ts';
import type { Path, Point } from './path';
import type { Region } from './region';

/**
 * A path turned about the origin, clockwise as seen from above (y down), and mirrored left to right before that.
 *
 * @param degrees a multiple of 90 keeps every coordinate exact
 *
 * @example
 * placed(segment(0, 0, 10, 0), 90).points[1] // [0, 10]
 */
export function placed(path: Path, degrees: number, mirrored = false): Path {
  const quarters = (((degrees / 90) % 4) + 4) % 4;
  const angle = (degrees * Math.PI) / 180;
  const exact = Number.isInteger(quarters);
  const cos = exact ? ([1, 0, -1, 0][quarters] ?? 1) : Math.cos(angle);
  const sin = exact ? ([0, 1, 0, -1][quarters] ?? 0) : Math.sin(angle);
  return {
    ...path,
    points: path.points.map(([px, y]): Point => {
      const x = mirrored ? -px : px;
      return [x * cos - y * sin + 0, x * sin + y * cos + 0];
    })
  };
}

/**
 * The smallest outline without hollows round some points (Andrew’s monotone chain).
 *
 * @throws RangeError when there are fewer than three points that span an area
 */
export function convexHull(points: readonly Point[]): Path {
  const sorted = [...points].sort(([ax, ay], [bx, by]) => ax - bx || ay - by);
  const half = (all: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const point of all) {
      while (chain.length >= 2 && turnOf(chain.at(-2), chain.at(-1), point) <= 0) chain.pop();
      chain.push(point);
    }
    return chain.slice(0, -1);
  };
  const hull = [...half(sorted), ...half(sorted.toReversed())];
  if (hull.length < 3) throw new RangeError('Points on one line have no outline.');
  return { closed: true, points: hull };
}

function turnOf(a: Point = [0, 0], b: Point = [0, 0], [x, y]: Point): number {
  return (b[0] - a[0]) * (y - a[1]) - (b[1] - a[1]) * (x - a[0]);
}

/** A path with fewer corners, nowhere further off than a distance, mm (Ramer, Douglas and Peucker). */
export function simplified(path: Path, mm: number): Path {
  const found = ramerDouglasPeuckerD(
    path.points.map(([x, y]) => ({ x, y })),
    mm
  );
  return found.length < 3 ? path : { ...path, points: found.map(({ x, y }): Point => [x, y]) };
}

/**
 * Where the origin of `moving` must not lie, or the two overlap (the no-fit polygon, a Minkowski difference). A hole in
 * which `moving` would lie wholly inside `fixed` counts as overlapping too.
 *
 * @param fixed a closed path
 * @param moving a closed path about the origin
 *
 * @example
 * noFit(box(0, 0, 10, 10), box(-5, -5, 5, 5)) // one square from -5 to 15 either way
 */
export function noFit(fixed: Path, moving: Path): Region {
  if (isConvex(fixed) && isConvex(moving))
    return [
      sumOfConvex(
        fixed.points,
        moving.points.map(([x, y]): Point => [-x, -y])
      )
    ];
  const at = ({ points }: Path): { x: number; y: number }[] => points.map(([x, y]) => ({ x, y }));
  const swept = unionD(minkowskiDiffD(at(moving), at(fixed), true), FillRule.NonZero);
  return swept.filter((ring) => isPositiveD(ring)).map((ring) => ring.map(({ x, y }): Point => [x, y]));
}

/** The Minkowski sum of two outlines without hollows: their sides one after another, in the order of their directions. */
function sumOfConvex(first: readonly Point[], second: readonly Point[]): Point[] {
  const [a, b] = [convexHull(first).points, convexHull(second).points];
  const found: Point[] = [];
  for (let i = 0, j = 0; i < a.length || j < b.length;) {
    const [[ax, ay], [bx, by]] = [corner(a, i), corner(b, j)];
    const [[toAx, toAy], [toBx, toBy]] = [corner(a, i + 1), corner(b, j + 1)];
    found.push([ax + bx, ay + by]);
    const turn = (toAx - ax) * (toBy - by) - (toAy - ay) * (toBx - bx);
    // Sides of one direction are one side.
    const [alongA, alongB] = [
      i < a.length && (j >= b.length || turn >= 0),
      j < b.length && (i >= a.length || turn <= 0)
    ];
    if (alongA) i++;
    if (alongB) j++;
  }
  return found;
}

const corner = (points: readonly Point[], at: number): Point => points[at % points.length] ?? [0, 0];

/** Whether an outline has no hollows. */
export function isConvex({ points }: Path): boolean {
  const signs = points.map((point, at) => Math.sign(turnOf(points.at(at - 2), points.at(at - 1), point)));
  return !(signs.includes(1) && signs.includes(-1));
}
