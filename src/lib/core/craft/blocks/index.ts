export { BLOCK_GROUPS } from './block';
export { blockOf, BLOCKS } from './all';
export { compose, type Composed, type Offer, offersAt } from './compose';
export { blockWords } from './words';
