export { type DrawingReading, type DrawnGroup, readSvg } from './readSvg';
