export { readStitch, type TypedStitch } from './typedStitch';
export { CALL_AT_S, type KnownStitch, lookAhead, mustCatch, toPrepare } from './ahead';
export { timesFrom } from './timesFrom';
export { canBe } from './canBe';
export { beforeStart, type StartCheck } from './beforeStart';
export { type ComparedStep, compareRun } from './compare';
export { faultSeconds, fitsScreen, foldRun, stepSeconds } from './fold';
export type { RunState } from './runState';
export { followMachine, nextCommand } from './follow';
export { gettingBack } from './gettingBack';
export { mayStitchAt, type NowPossible } from './mayStitch';
export { handMinutes, savings } from './minutes';
export { needleHours, type NeedleHours, type NeedleTimes, needleTimes } from './needleHours';
export { BACK_UP, faultName, type Recovery, recoveryFor } from './recovery';
export {
  accuracyOverTime,
  AGAINST_GROUPS,
  againstBy,
  type AgainstGroup,
  FAULT_GROUPS,
  type FaultGroup,
  faultRates,
  runsCsv
} from './statistics';
export { runTable, type RunTable } from './runTable';
export { actualRibbonSteps, runSummary, type RunSummary } from './runSummary';
