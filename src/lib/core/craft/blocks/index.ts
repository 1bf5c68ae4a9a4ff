export { type AnyBlock, BLOCK_GROUPS } from './block';
export { blockOf, BLOCKS } from './all';
export { compose, type Composed, type Offer, offersAt, type Trouble } from './compose';
export { blockWords } from './words';
