export { keptWeek, meanwhile, nextTasks } from './keepWeek';
export { KeptWeek } from './keptWeek';
export { orderOfLine, weekLine } from './merged';
export { type Moved, moved } from './moved';
export { handTasks } from './nowNextThen';
export { planWeek, type WeekInput, type WeekPlan } from './planWeek';
export { type Raise, type Raised, raised, raisesOf, withHours } from './raises';
export { type Reserved, reservedByOrder } from './reserved';
