export { matchingBobbins } from './backs';
export { cutSizes } from './layer';
export { outside, type Shown } from './outside';
export { simulate } from './simulate';
export { EMPTY_STACK, type Holding, type Layer, type Seam, type StackState, type StackStep } from './state';
export { gapsOf, LEAST_OPENING_MM, rightSides } from './turning';
export { clothAlong, liesAt, samplesOf, shareOn } from './under';
export { coversOver, sidesOf, visibleThreads } from './visible';
export { insertWindows, leavingAt } from './windows';
