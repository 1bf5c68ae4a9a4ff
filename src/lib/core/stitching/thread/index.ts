export { type Jump, jumpsOf, jumpWords, stopList } from './jumps';
export { bobbinThread, MEAN_LENGTH_MM, meanStitchLength, TAKE_UP_MM, upperThread } from './length';
