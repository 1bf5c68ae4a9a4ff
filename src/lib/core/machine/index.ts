export * from './schema';
export { advance, newStandIn } from './standIn';
export { obey, type Answer } from './obey';
export { jobOf } from './job';
