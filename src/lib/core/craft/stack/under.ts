import { contains, type Path, type Point, pointsAlong, type Region } from '$lib/core/base/geometry';
import type { Layer } from './state';

/** Points of a path at which it is compared with cloth, mm apart. */
const SAMPLE_MM = 2;

const samples = new WeakMap<Path, Point[]>();
const hits = new WeakMap<Region, WeakMap<Path, boolean[]>>();

/** Points along a path; the same path gives the same points. */
export function samplesOf(path: Path): Point[] {
  const known = samples.get(path);
  if (known) return known;
  const made = pointsAlong(path, SAMPLE_MM);
  samples.set(path, made);
  return made;
}

/** For each sample of a path, whether a region lies there. Kept, since layers and lines rarely change. */
function hitsOf(region: Region, path: Path): boolean[] {
  let byPath = hits.get(region);
  if (!byPath) hits.set(region, (byPath = new WeakMap<Path, boolean[]>()));
  let found = byPath.get(path);
  if (!found) byPath.set(path, (found = samplesOf(path).map((point) => contains(region, point))));
  return found;
}

/** For each sample of a path, whether the layer’s cloth lies there. */
export function clothAlong(layer: Layer, path: Path): boolean[] {
  const open = hitsOf(layer.outline, path);
  if (layer.allowance.length === 0) return open;
  const folded = hitsOf(layer.allowance, path);
  return open.map((hit, at) => hit || folded[at] === true);
}

/**
 * Share of a path that lies on a layer, 0 to 1.
 *
 * @example
 * shareOn(front, outline) // 1: the whole outline lies on the front
 */
export function shareOn(layer: Layer, path: Path): number {
  const along = clothAlong(layer, path);
  return along.filter(Boolean).length / Math.max(1, along.length);
}

/** Whether a layer’s cloth lies at a point. */
export function liesAt(layer: Layer, point: Point): boolean {
  // A folded allowance may lie under its own layer, so each is looked at by itself.
  return contains(layer.outline, point) || contains(layer.allowance, point);
}
