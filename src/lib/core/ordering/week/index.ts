export { type OpenOrder, orderOfLine } from './merged';
export { type HandTask, handTasks } from './nowNextThen';
export { planWeek, type WeekInput, type WeekPlan } from './planWeek';
