export { type CopyLayout, layOutCopies, layOutMixed } from './layOut';
export type { Area, CopyOutline } from './types';
