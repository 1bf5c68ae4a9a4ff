export * from './answers';
export * from './demo';
export * from './machines';
export * from './validate';
