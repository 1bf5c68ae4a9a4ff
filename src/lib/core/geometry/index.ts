export * from './place';
export * from './curve';
export * from './offset';
export * from './path';
export * from './region';
export * from './shapes';
