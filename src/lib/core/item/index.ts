export * from './edit';
export * from './find';
export * from './newOperation';
export * from './operation';
export * from './references';
export * from './roles';
export * from './schema';
export * from './variant';
