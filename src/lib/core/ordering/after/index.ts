export { afterOrder, learnedSpoilage, type Leftover } from './after';
