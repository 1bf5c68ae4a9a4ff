export * from './offset';
export * from './path';
export * from './shapes';
