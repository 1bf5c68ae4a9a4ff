export type { Finding } from './finding';
export { type Review, review } from './review';
export { type CheckResult, runChecks } from './runChecks';
