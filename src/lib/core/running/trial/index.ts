export { OVERLAPS, SPACINGS, trialItem } from './trialItem';
export { trialFor, trialWords, withTrial } from './trialFor';
