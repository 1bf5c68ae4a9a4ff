export type { Papers } from './draft';
export { type Interpretation, interpret } from './judge';
export { type Likeness, likeConstruction } from './likeConstruction';
export { withSentences } from './sentences';
