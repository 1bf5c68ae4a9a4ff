export * from './offcuts';
export * from './presets';
export * from './schema';
export * from './serves';
export * from './usable';
export * from './short';
