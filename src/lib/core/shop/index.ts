export * from './buying';
export * from './defaults';
export * from './handTimes';
export * from './schema';
export * from './supplies';
export * from './learned';
export * from './reach';
