export * from './planOrder';
export * from './planThreads';
export { reorderItem } from './reorder';
export { itemTasks, type ItemTask } from './tasks';
export * from './bobbinPlan';
export * from './needleSheet';
export { putBobbins } from './putBobbins';
export * from './threadUse';
