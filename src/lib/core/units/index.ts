export * from './duration';
export * from './length';
export * from './rounding';
export * from './thread';
export * from './seeded';
