export * from './plan';
export * from './schema';
