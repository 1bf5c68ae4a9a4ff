export { Fault, FAULTS, Run, RUN_VERSION, RunEvent, type RunEventType, RunHead, Way, WAYS } from './schema';
