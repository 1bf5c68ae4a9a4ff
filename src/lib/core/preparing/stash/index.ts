export { fitsEitherWay, grown, worthKeeping } from './offcuts';
export { PRESETS } from './presets';
export { isUnseen, sameName, serves } from './serves';
export { runningShort } from './short';
export { lessThread, threadBack, threadSpent } from './spent';
export { usableOf, withoutCorner } from './usable';
