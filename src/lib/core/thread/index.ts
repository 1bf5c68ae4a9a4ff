export * from './changes';
export * from './length';
