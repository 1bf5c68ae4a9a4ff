export * from './cautions';
export * from './hoopState';
export * from './marks';
export * from './wording';
