export type { SheetAction, SheetStop } from './action';
export { type SheetReading, readSheet } from './readSheet';
