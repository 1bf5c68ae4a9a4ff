export * from './changes';
export * from './length';
export * from './bobbins';
export * from './jumps';
export * from './mayStitch';
export * from './needleKind';
export * from './palette';
export * from './runOut';
export {
  bestOrder,
  compareCosts,
  orderCost,
  type OrderCost,
  type OrderTask,
  type StopOrder
} from './stopOrder';
