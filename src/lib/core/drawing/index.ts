export { MAX_POINTS } from './outlines';
export { readSvg, type DrawingReading, type DrawnGroup } from './readSvg';
