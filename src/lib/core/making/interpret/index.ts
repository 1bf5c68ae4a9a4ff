export type { Papers } from './draft';
export { type Interpretation, interpret } from './judge';
export { withSentences } from './sentences';
