export { cutSizes, type CutSizes } from './operations';
export * from './outside';
export * from './simulate';
export * from './state';
