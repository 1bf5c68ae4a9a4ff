export { plan, planAndTrace, type PlanAndTrace } from './plan';
export { asStop } from './runStop';
export { threadsOn, withSpools } from './spools';
