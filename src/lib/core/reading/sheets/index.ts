export type { SheetAction, SheetStop } from './actions';
export { type SheetReading, readSheet } from './readSheet';
