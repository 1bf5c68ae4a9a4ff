import {
  convexHull,
  extents,
  intersection,
  type Path,
  pathArea,
  type Point,
  rectangleRegion,
  regionArea,
  regionOf,
  shapePath,
  shifted
} from '$lib/core/base/geometry';
import { findStop, forVariant, type Item, type Phase, variantOf } from '$lib/core/documents/item';
import type { CopyOutline } from '$lib/core/solvers/nesting';
import { unpackStitches } from '$lib/core/stitching/stitches';

/** A share of the stitching’s outline; what lies outside the largest line by less is its own width. */
const SAME = 0.002;

/**
 * The outermost stitching of an item in some of its hoopings: its largest closed line where all else lies inside it,
 * else the outline without hollows round everything. An edge adds half its width. An item without lines is as large as
 * its variant says.
 *
 * @param hoopingIds hoopings that are stitched in one clamping
 * @param reach how far laid pieces reach beyond the stitching, mm
 *
 * @example
 * outlineOf(badgerTab, 'as-drawn', ['hooping-1'], 12).height // 94
 */
export function outlineOf(
  whole: Item,
  variantId: string,
  hoopingIds: readonly string[],
  reach: number
): CopyOutline {
  const item = forVariant(whole, variantId);
  const found = outermost(pathsOf(item, hoopingIds)) ?? shapeOf(whole, variantId);
  const { minX, minY, width, height } = extents(found);
  const middle = { x: minX + width / 2, y: minY + height / 2 };
  return { path: shifted(found, -middle.x, -middle.y), width, height, middle, reach };
}

/** Every path that is stitched, grown where its edge is wide. */
function pathsOf(item: Item, hoopingIds: readonly string[]): { path: Path; width: number }[] {
  const stops = item.steps.flatMap((step) =>
    step.kind === 'stop' && hoopingIds.includes(step.hoopingId) ? (findStop(item, step.stopId) ?? []) : []
  );
  return stops.flatMap(({ lineIds, phases, stitched }) => {
    const lines = item.lines.filter(({ id }) => lineIds.includes(id));
    const own = lines.map(({ path }) => ({ path, width: widthOf(phases) }));
    if (!stitched) return own;
    const { x, y } = unpackStitches(stitched);
    const points = Array.from(x, (at, index): Point => [at, y[index] ?? 0]);
    return points.length < 2 ? own : [...own, { path: { closed: false, points }, width: 0 }];
  });
}

function widthOf(phases: readonly Phase[]): number {
  return Math.max(0, ...phases.map(({ width, stitch }) => (stitch === 'blanket' ? 0 : (width ?? 0))));
}

function outermost(all: readonly { path: Path; width: number }[]): Path | undefined {
  if (all.length === 0) return undefined;
  const grown = all.map(({ path, width }) => (width > 0 && path.closed ? grow(path, width / 2) : path));
  const largest = grown.toSorted((a, b) => pathArea(b) - pathArea(a))[0];
  if (!largest) return undefined;
  const hull = hullOf(grown);
  if (!hull || pathArea(largest) === 0) return hull;
  const region = regionOf(largest);
  const inside = grown.every(
    (path) =>
      path === largest ||
      (path.closed
        ? regionArea(intersection(regionOf(path), region)) >= pathArea(path) * (1 - SAME)
        : withinBox(path, largest))
  );
  return inside ? largest : hull;
}

const withinBox = (path: Path, outer: Path): boolean => {
  const [a, b] = [extents(path), extents(outer)];
  const least = 0.05;
  return (
    a.minX >= b.minX - least &&
    a.maxX <= b.maxX + least &&
    a.minY >= b.minY - least &&
    a.maxY <= b.maxY + least
  );
};

function hullOf(paths: readonly Path[]): Path | undefined {
  const points = paths.flatMap((path) => path.points);
  const { width, height } = extents({ closed: false, points: points.length > 1 ? points : [[0, 0]] });
  return width > 0 && height > 0 ? convexHull(points) : undefined;
}

function grow(path: Path, mm: number): Path {
  const { minX, minY, width, height } = extents(path);
  const [x, y] = [minX + width / 2, minY + height / 2];
  // Half an edge is a few millimetres: stretching about the middle is as good as an offset, and keeps hollows.
  const [sx, sy] = [(width + 2 * mm) / (width || 1), (height + 2 * mm) / (height || 1)];
  return {
    ...path,
    points: path.points.map(([px, py]): Point => [x + (px - x) * sx, y + (py - y) * sy])
  };
}

function shapeOf(item: Item, variantId: string): Path {
  const variant = variantOf(item, variantId);
  const { width, height } = variant?.size ?? { width: 10, height: 10 };
  const shape = variant?.shape ?? 'rectangle';
  return shape === 'drawn' || width <= 0 || height <= 0
    ? { closed: true, points: rectangleRegion([0, 0], Math.max(1, width), Math.max(1, height))[0] ?? [] }
    : shapePath(shape, width, height);
}
