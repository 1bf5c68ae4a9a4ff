export {
  Fault,
  FAULTS,
  Run,
  RUN_HISTORY,
  RUN_VERSION,
  RunEvent,
  RunHead,
  type RunEventType,
  Way,
  WAYS
} from './schema';
