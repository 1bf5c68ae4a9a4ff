export { type CountGuess, GUESS_FACTOR, guessFor, widened, withGuesses } from './guessed';
export { type Compared, comparedTimes } from './compared';
export { fromDefaults, halfRange, sumEstimates } from './estimate';
export { handsEstimate, needleEstimate } from './learnedEstimate';
export {
  HALT_S,
  NEEDLE_SWITCH_S,
  needleParts,
  type NeedleParts,
  overheadSeconds,
  START_S,
  TRIM_S
} from './needleTime';
