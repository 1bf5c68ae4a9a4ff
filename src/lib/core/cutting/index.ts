export * from './cutList';
export * from './sizing';
