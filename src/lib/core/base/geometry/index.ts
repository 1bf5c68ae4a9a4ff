export { alongAt, begunAt, bendsOf, cornersOf, pointAt } from './along';
export { flattenCubic } from './curve';
export { jaggedness } from './path';
export { inset, offsetPath } from './offset';
export { isSymmetrical } from './symmetry';
export {
  box,
  type Extents,
  extents,
  extentsOfAll,
  mirrored,
  Path,
  pathArea,
  pathData,
  pathLength,
  Point,
  quarterTurned,
  samePath,
  segment,
  shifted
} from './path';
export { convexHull, isConvex, noFit, placed, simplified } from './place';
export {
  contains,
  difference,
  intersection,
  mirroredAcross,
  movedBy,
  pointsAlong,
  rectangleRegion,
  type Region,
  regionArea,
  regionExtents,
  regionOf,
  splitAlong
} from './region';
export { type Outline, type Shape, shapePath, SHAPES } from './shapes';
