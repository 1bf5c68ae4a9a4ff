export { machineJobOf } from './job';
export { obey, type Obeyed } from './obey';
export { MachineCommand, type MachineEvent, MachineJob, type MachineState, StandInSetup } from './schema';
export { advance, newStandIn } from './standIn';
