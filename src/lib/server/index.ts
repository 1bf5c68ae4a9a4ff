export * from './answers';
export * from './demo';
