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
  Way,
  WAYS
} from './schema';
