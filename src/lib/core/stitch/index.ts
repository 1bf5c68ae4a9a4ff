export * from './column';
export * from './edge';
export * from './field';
export * from './list';
export * from './ofStop';
export * from './reachable';
export * from './run';
export * from './stitches';
