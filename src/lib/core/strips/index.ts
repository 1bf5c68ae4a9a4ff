export { cutsOf, frameOf, remaindersOf, usedHeight, type Remainder } from './place';
export { layOut, type SearchOptions } from './search';
export { Column, Placed, Strip } from './types';
export type { Cloth, ClothLayout, Layout, Score, Wanted } from './types';
