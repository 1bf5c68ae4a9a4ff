export { mayStitchNow } from './mayStitch';
export { bestOrder } from './stopOrder';
export { compareCosts, orderCost, type OrderCost, type OrderTask } from './cost';
