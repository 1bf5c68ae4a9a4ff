export { addVariant } from './addVariant';
export { align, type Alignment, type FixedMatch, inPatternOrder } from './align';
export { assemble } from './assemble';
export { blocksOf, stepBlocks } from './blocksOf';
export { likeliest } from './likeliest';
export { withLists } from './listsAsVariants';
export { matchPaper, withPaperNotes } from './paperNotes';
export { remake } from './remake';
export { withChart } from './withChart';
