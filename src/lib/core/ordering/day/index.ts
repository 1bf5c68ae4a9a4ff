export type { BatchPlan, PlannedHooping } from './batchPlan';
export { placedKey } from './describe';
export { planBatch } from './planBatch';
export { type BatchInput } from './linePlan';
export { NOTHING_DONE, type Progress, progressOf } from './progress';
export { hoopingPlan } from './runPlan';
export { sayTime, wallTimeAt, weekdayOf } from './wallTime';
