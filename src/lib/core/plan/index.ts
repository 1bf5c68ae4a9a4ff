export * from './paperNotes';
export * from './plan';
export * from './schema';
export * from './spools';
