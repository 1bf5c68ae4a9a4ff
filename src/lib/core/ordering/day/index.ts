export type { BatchPlan, PlannedHooping } from './batchPlan';
export { placedKey } from './describe';
export { doneByLine } from './doneByLine';
export { planBatch, planned, type Planned } from './planBatch';
export { type BatchInput } from './linePlan';
export { copiesOf, NOTHING_DONE, piecesDone, type Progress, progressOf } from './progress';
export { hoopingPlan } from './runPlan';
export { sayTime, secondsBetween, wallTimeAt, weekdayOf } from './wallTime';
