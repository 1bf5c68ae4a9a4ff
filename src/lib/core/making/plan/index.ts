export { plan, planAndTrace, type PlanAndTrace } from './plan';
export { threadsOn, withSpools } from './spools';
