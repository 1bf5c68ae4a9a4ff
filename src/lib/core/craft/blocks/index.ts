export { type AnyBlock, BLOCK_GROUPS } from './block';
export { blockOf, BLOCKS } from './all';
export { compose, type Composed, type Trouble } from './compose';
