export { orderOfLine, weekLine } from './merged';
export { handTasks } from './nowNextThen';
export { planWeek, type WeekInput, type WeekPlan } from './planWeek';
