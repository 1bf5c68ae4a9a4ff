export { readBytes, refuse } from './answers';
export { HAND_OVER, handOverBox } from './handOver';
export { demoPack } from './demo';
export { exampleRibbon } from './example';
export { allowedHosts, guard } from './guard';
export { jobRoute } from './jobRoute';
export { SAFE_HEADERS } from './safeHeaders';
export { createMachine, findMachine, listMachines, removeMachine, type Watcher } from './machines';
export { readAs } from './validate';
