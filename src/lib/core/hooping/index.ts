export * from './area';
export * from './layOut';
export * from './outline';
export * from './repeats';
export * from './schema';
export * from './trace';
