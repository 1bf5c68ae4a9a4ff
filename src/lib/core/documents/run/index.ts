export {
  Fault,
  FAULTS,
  HoopShare,
  Run,
  RUN_HISTORY,
  RUN_VERSION,
  RunEvent,
  RunHead,
  type RunEventType,
  type ThreadSpent,
  Way,
  WAYS
} from './schema';
