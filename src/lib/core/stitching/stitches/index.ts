export { SATIN_SPACING_MM, satinStitches, ZIGZAG_SPACING_MM } from './column';
export { type ComposedEdge, composeEdge } from './edge';
export { fillStitches } from './field';
export { isStitchList, type ListReading, readStitchList, stitchListCsv } from './list';
export {
  geometryOf,
  packStitches,
  sketchOf,
  stitchListOf,
  type StopGeometry,
  unpackStitches,
  withGeometry
} from './ofStop';
export { chooseSize, readSizes, sizesAround } from './reachable';
export { runStitches } from './run';
export { COMMAND, joined, measure, type Stitches } from './stitches';
