export { type CountGuess, GUESS_FACTOR, guessFor, widened, withGuesses } from './guessed';
export { fromDefaults, halfRange, sumEstimates } from './estimate';
export { handsEstimate, needleEstimate } from './learnedEstimate';
export { needleParts, type NeedleParts, overheadSeconds } from './needleTime';
