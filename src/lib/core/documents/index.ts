export * from './backup';
export * from './read';
