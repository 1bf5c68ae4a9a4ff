export {
  bobbinColourName,
  type ItemBobbins,
  planItemBobbins,
  type PlannedBobbin,
  type StitchPlace,
  USUAL
} from './bobbinPlan';
export { type NeedleSheet, needleSheet } from './needleSheet';
export { differenceWords, nearestThreads } from './palette';
export type { OrderPlan } from './planOrder';
export { planThreads, type ThreadPlan, type ThreadPlanInput } from './planThreads';
export { putBobbins } from './putBobbins';
export { type SpoolEnd, spoolEnds, spoolHolds, spoolsFor } from './spools';
export { itemTasks } from './tasks';
export { headsTogether, bobbinsInSteps, stationBobbins, type StationBobbins, type ToWind } from './winding';
export { chooseSpool, type ThreadNeed, threadNeeds } from './threadUse';
