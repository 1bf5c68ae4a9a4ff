export type { CheckContext, Finding } from './finding';
export * from './review';
export * from './runChecks';
