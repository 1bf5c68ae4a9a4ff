export { type AfterOrder, afterOrder, learnedSpoilage, type Leftover } from './after';
