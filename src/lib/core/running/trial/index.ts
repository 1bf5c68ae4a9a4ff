export { OVERLAPS, SPACINGS, trialItem } from './trialItem';
export { trialCloth, trialFor, trialWords, withTrial } from './trialFor';
