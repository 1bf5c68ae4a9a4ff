export { reachedArea } from './area';
export { outlineOf } from './outline';
export { borderPlacements, borderRepeats, cornerHoopings } from './repeats';
export { type HoopFinding, outlineAt, traceHoop } from './trace';
