export * from './cautions';
export * from './glossary';
export * from './hoopState';
export * from './marks';
export * from './wording';
