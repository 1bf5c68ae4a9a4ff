import { extents, mirrored, type Path, shifted } from './path';
import { difference, regionArea, regionOf } from './region';

/** Share of its area by which a shape may differ from its mirror image and still count as the same. */
const ALIKE = 0.01;

/**
 * Whether a shape is its own mirror image, left and right exchanged.
 *
 * @example
 * isSymmetrical(shapePath('heart', 60, 50)) // true
 */
export function isSymmetrical(path: Path): boolean {
  const { minX, maxX, minY, maxY } = extents(path);
  const centred = shifted(path, -(minX + maxX) / 2, -(minY + maxY) / 2);
  const region = regionOf(centred);
  return regionArea(difference(region, regionOf(mirrored(centred)))) < ALIKE * regionArea(region);
}
