export * from './edit';
export * from './find';
export * from './operation';
export * from './references';
export * from './roles';
export * from './schema';
