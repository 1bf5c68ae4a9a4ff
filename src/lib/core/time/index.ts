export * from './estimate';
export * from './handTime';
export * from './needleTime';
export * from './learn';
export * from './learnedEstimate';
