export * from './bobbinMeasures';
export * from './ahead';
export * from './compare';
export * from './fold';
export * from './schema';
export * from './needleHours';
