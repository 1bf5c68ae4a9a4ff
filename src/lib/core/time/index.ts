export * from './estimate';
export * from './handTime';
export * from './needleTime';
