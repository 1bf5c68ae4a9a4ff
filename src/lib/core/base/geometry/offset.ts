import { EndType, inflatePathsD, JoinType, ramerDouglasPeuckerD } from 'clipper2-ts';
import { roundTo } from '$lib/core/base/units';
import { distinct, jaggedness, type Path, pathArea, type Point } from './path';

/** Times the way round its box from which an outline is jagged, and how exactly such a one is followed, mm. */
const JAGGED = 8;
const COARSE = 0.1;

/**
 * A closed path moved outwards (or inwards, for a negative distance) by the same amount all round, with
 * round corners, as scissors or a satin edge follow it.
 *
 * @param path a closed path
 * @param mm distance in millimetres
 * @returns the largest path that results, or undefined when nothing is left
 *
 * @example
 * const cut = offsetPath(shapePath('tab', 30, 94), 3)
 * cut && extents(cut).width // 36
 */
export function offsetPath(path: Path, mm: number): Path | undefined {
  if (!path.closed) throw new RangeError('Only a closed outline can be moved outwards.');
  if (mm === 0) return path;
  const outline = distinct(path.points).map(([x, y]) => ({ x, y }));
  // What has no area is no outline.
  if (outline.length < 3) return undefined;
  // Round every spike of a jagged outline come arcs that cross all others: there a tenth of a millimetre does.
  const fine = jaggedness(path) < JAGGED;
  const found = inflatePathsD(
    [fine ? outline : ramerDouglasPeuckerD(outline, COARSE)],
    mm,
    JoinType.Round,
    EndType.Polygon,
    2,
    3,
    fine ? 0.005 : COARSE
  );
  const results = found.map((points): Path => ({
    closed: true,
    points: points.map(({ x, y }): Point => [roundTo(x, 3) + 0, roundTo(y, 3) + 0])
  }));
  return results.sort((a, b) => pathArea(b) - pathArea(a))[0];
}

/**
 * A closed path moved inwards; where nothing would be left, the path itself.
 *
 * @param mm distance in millimetres
 */
export function inset(path: Path, mm: number): Path {
  return offsetPath(path, -mm) ?? path;
}
