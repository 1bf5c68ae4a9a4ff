export { CutPiece, SizePart } from './cutPiece';
export { Estimate, type TimeKind } from './estimate';
export { HOOP_AT_START, HoopState } from './hoopState';
export { Mark } from './mark';
export { Plan, PLAN_HISTORY, PLAN_VERSION, PlanStep, PlanWarning } from './schema';
