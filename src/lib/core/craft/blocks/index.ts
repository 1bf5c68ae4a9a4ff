export { BLOCK_GROUPS } from './block';
export { blockOf, BLOCKS } from './all';
export { compose, type Composed, type Offer, offersAt } from './compose';
export { PLACED_ON_IT, THING_WORDS } from './readyMade';
export { CLOTHS } from './hooping';
export { SheetWork } from './sheetSteps';
export { blockWords } from './words';
export { APART_MM as LACE_APART_MM } from './lace';
