export * from './batchPlan';
export * from './calendar';
export { COMPOSITIONS, split, type Composition } from './compose';
export { placedKey } from './describe';
export * from './hoopChoice';
export * from './planBatch';
export * from './progress';
export * from './schema';
export * from './wallTime';
