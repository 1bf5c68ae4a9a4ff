export { cutsOf, frameOf, remaindersOf, usedHeight, type Remainder } from './place';
export { layOut, type SearchOptions } from './search';
export type { Cloth, ClothLayout, Column, Layout, Placed, Score, Strip, Wanted } from './types';
