export type { BatchPlan, PlannedHooping } from './batchPlan';
export { placedKey } from './places';
export { doneByLine } from './doneByLine';
export { planBatch, planned, type Planned } from './planBatch';
export { type BatchInput } from './linePlan';
export { copiesOf, NOTHING_DONE, piecesDone, type Progress, progressOf } from './progress';
export { hoopingPlan, type HoopingToRun } from './runPlan';
export { sayTime, secondsBetween, wallTimeAt, weekdayOf } from './wallTime';
