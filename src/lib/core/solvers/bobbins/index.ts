export { planBobbins } from './bobbins';
export { type BobbinLevel, bobbinUse, type BobbinUse, followBobbins } from './runOut';
export type { BobbinChange, BobbinPlan, BobbinStop } from './types';
