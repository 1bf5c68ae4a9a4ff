export {
  bobbinColourName,
  type ItemBobbins,
  planItemBobbins,
  type PlannedBobbin,
  type StitchPlace,
  USUAL
} from './bobbinPlan';
export { type NeedleSheet, needleSheet } from './needleSheet';
export { differenceWords } from './palette';
export type { OrderPlan } from './planOrder';
export { planThreads, type ThreadPlan, type ThreadPlanInput } from './planThreads';
export { putBobbins } from './putBobbins';
export { itemTasks } from './tasks';
export { chooseSpool, type ThreadNeed, threadNeeds } from './threadUse';
