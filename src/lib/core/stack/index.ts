export { cutSizes, type CutSizes } from './layer';
export { matchingBobbins } from './backs';
export * from './outside';
export * from './simulate';
export {
  EMPTY_STACK,
  type Fold,
  type Holding,
  type Layer,
  type Seam,
  type StackState,
  type StackStep
} from './state';
export { gapsOf, LEAST_OPENING_MM, rightSides } from './turning';
export { clothAlong, hitsOf, liesAt, samplesOf, shareOn } from './under';
export * from './visible';
export * from './windows';
