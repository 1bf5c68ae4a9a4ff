export { cutsOf, frameOf, type Remainder, remaindersOf, usedHeight } from './place';
export { layOutPieces } from './search';
export type { Cloth, StripLayout, Wanted } from './types';
