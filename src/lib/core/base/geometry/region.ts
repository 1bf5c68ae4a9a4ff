import { differenceD, FillRule, intersectD, isPositiveD, areaD, type PathD, type PathsD } from 'clipper2-ts';
import { roundTo } from '$lib/core/base/units';
import { type Extents, extentsOfAll, type Path, type Point } from './path';

/** A flat piece of cloth: closed rings, outer ones counter to holes, as clipping gives them. */
export type Region = Point[][];

/** Decimals kept by clipping, of a millimetre. */
const PRECISION = 3;

/** The inside of a closed path. */
export function regionOf(path: Path): Region {
  const ring = toD(path.points);
  return [fromD(isPositiveD(ring) ? ring : [...ring].reverse())];
}

/**
 * The smallest upright box round regions, mm; undefined where there is none.
 *
 * @example
 * regionExtents([rectangleRegion([0, 0], 30, 94)])?.height // 94
 */
export function regionExtents(regions: readonly Region[]): Extents | undefined {
  return extentsOfAll(regions.flat().map((points) => ({ closed: true, points })));
}

/** An upright rectangle about a centre, mm. */
export function rectangleRegion(centre: Point, width: number, height: number): Region {
  const [x, y] = centre;
  const [w, h] = [width / 2, height / 2];
  return [
    [
      [x - w, y - h],
      [x + w, y - h],
      [x + w, y + h],
      [x - w, y + h]
    ]
  ];
}

/** What of `a` lies inside `b`. */
export function intersection(a: Region, b: Region): Region {
  return intersectD(a.map(toD), b.map(toD), FillRule.NonZero, PRECISION).map(fromD);
}

/** What of `a` lies outside `b`. */
export function difference(a: Region, b: Region): Region {
  return differenceD(a.map(toD), b.map(toD), FillRule.NonZero, PRECISION).map(fromD);
}

/**
 * Area of a region, mm², holes left out.
 *
 * @example
 * regionArea(difference(rectangleRegion([0, 0], 10, 10), rectangleRegion([0, 0], 4, 5))) // 80
 */
export function regionArea(region: Region): number {
  return Math.abs(region.reduce((sum, ring) => sum + areaD(toD(ring)), 0));
}

/** A ring ready for asking: its box and its corners one after another. */
interface Ring {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
  xs: Float64Array;
  ys: Float64Array;
}
const prepared = new WeakMap<Region, Ring[]>();

/** Whether a point lies in a region, its edge included or not as rounding has it (even-odd ray casting). */
export function contains(region: Region, [x, y]: Point): boolean {
  let inside = false;
  for (const { minX, minY, maxX, maxY, xs, ys } of ringsOf(region)) {
    // A ring beside the point is crossed an even number of times.
    if (x < minX || x > maxX || y < minY || y > maxY) continue;
    let x1 = xs[xs.length - 1] ?? 0;
    let y1 = ys[ys.length - 1] ?? 0;
    for (let at = 0; at < xs.length; at++) {
      const x2 = xs[at] ?? 0;
      const y2 = ys[at] ?? 0;
      if (y1 > y !== y2 > y && x < ((x2 - x1) * (y - y1)) / (y2 - y1) + x1) inside = !inside;
      x1 = x2;
      y1 = y2;
    }
  }
  return inside;
}

function ringsOf(region: Region): Ring[] {
  let rings = prepared.get(region);
  if (!rings) {
    rings = region.map((ring): Ring => {
      const xs = Float64Array.from(ring, ([x]) => x);
      const ys = Float64Array.from(ring, ([, y]) => y);
      return {
        minX: Math.min(...xs),
        minY: Math.min(...ys),
        maxX: Math.max(...xs),
        maxY: Math.max(...ys),
        xs,
        ys
      };
    });
    prepared.set(region, rings);
  }
  return rings;
}

/**
 * Points along a path, no further apart than a step, its corners among them.
 *
 * @param step mm
 */
export function pointsAlong(path: Path, step = 1): Point[] {
  const corners = path.closed ? [...path.points, ...path.points.slice(0, 1)] : path.points;
  const points: Point[] = [];
  corners.forEach(([x, y], at) => {
    const [dx, dy] = [(corners[at + 1]?.[0] ?? x) - x, (corners[at + 1]?.[1] ?? y) - y];
    const parts = Math.max(1, Math.ceil(Math.sqrt(dx * dx + dy * dy) / step));
    for (let part = 0; part < parts; part++) points.push([x + (dx * part) / parts, y + (dy * part) / parts]);
  });
  return points;
}

/** A region moved along, mm. */
export function movedBy(region: Region, dx: number, dy: number): Region {
  if (dx === 0 && dy === 0) return region;
  return region.map((ring) =>
    ring.map(([x, y]): Point => [roundTo(x + dx, PRECISION), roundTo(y + dy, PRECISION)])
  );
}

/** The region mirrored across the straight line through two points. */
export function mirroredAcross(region: Region, [x1, y1]: Point, [x2, y2]: Point): Region {
  const [dx, dy] = [x2 - x1, y2 - y1];
  const squared = dx * dx + dy * dy;
  return region.map((ring) =>
    ring
      .map(([x, y]): Point => {
        const along = ((x - x1) * dx + (y - y1) * dy) / squared;
        return [
          roundTo(2 * (x1 + along * dx) - x, PRECISION) + 0,
          roundTo(2 * (y1 + along * dy) - y, PRECISION) + 0
        ];
      })
      .reverse()
  );
}

/**
 * Cuts a region in two along the straight line through two points.
 *
 * @returns the part on the left of the line as one goes from the first point to the second (y down), and the other
 */
export function splitAlong(region: Region, [x1, y1]: Point, [x2, y2]: Point): [left: Region, right: Region] {
  const length = Math.hypot(x2 - x1, y2 - y1);
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const far = 10_000;
  // A square so large that it covers all of one side of the line.
  const side: Region = [
    [
      [x1 - ux * far, y1 - uy * far],
      [x1 + ux * far, y1 + uy * far],
      [x1 + ux * far + uy * far, y1 + uy * far - ux * far],
      [x1 - ux * far + uy * far, y1 - uy * far - ux * far]
    ]
  ];
  return [intersection(region, side), difference(region, side)];
}

function toD(points: readonly Point[]): PathD {
  return points.map(([x, y]) => ({ x, y }));
}

function fromD(path: PathsD[number]): Point[] {
  return path.map(({ x, y }): Point => [roundTo(x, PRECISION) + 0, roundTo(y, PRECISION) + 0]);
}
