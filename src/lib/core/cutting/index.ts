export * from './cutList';
