export { type AtPanel, atPanel } from './atPanel';
export {
  compose,
  type ComposedHooping,
  type Composition,
  COMPOSITIONS,
  inRounds,
  mostRounds,
  type Rounds,
  shareOver
} from './compose';
export { copiesPerHead } from './hoopingSteps';
export { LineContext, type StationOf, stationsOf } from './lineContext';
export {
  canShare,
  hoopedWith,
  LEAVE_ON,
  type SharedPart,
  sharedLayout,
  sharedSteps,
  sharedTimes
} from './sharedHoop';
export type { WayCost } from './ways';
