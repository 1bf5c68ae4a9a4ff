export * from './paperNotes';
export * from './plan';
export * from './schema';
