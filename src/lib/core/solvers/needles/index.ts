export { type NeedlePlan, planNeedles, type ThreadChange, threadChanges } from './changes';
