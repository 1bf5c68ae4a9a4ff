export * from './defaults';
export * from './handTimes';
export * from './schema';
