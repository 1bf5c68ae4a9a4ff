export type { SheetAction } from './action';
export { type SheetReading, readSheet } from './readSheet';
export { verbOf } from './segments';
