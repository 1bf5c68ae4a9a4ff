export { estimateAlong } from './estimate';
export {
  type AnswersOf,
  choice,
  count,
  type Fields,
  heldAs,
  heldOn,
  type HeldBy,
  hold,
  inSchool,
  isAsked,
  known,
  length,
  material,
  onlyWhere,
  outline,
  type Question,
  questionsOf,
  text,
  thread,
  threads,
  usuallyBy,
  withUsual
} from './fields';
export { TOPSTITCH_S } from './handWork';
export { MATERIALS } from './materials';
export {
  blanketPhase,
  type DetailColour,
  edgePhases,
  type ExpectedStop,
  FIRST_PASS_SPM,
  type Pattern,
  type PatternEntry,
  type Truth
} from './pattern';
export {
  innermost,
  OPPOSITE,
  openingsOf,
  openSides,
  outermost,
  type OpenSeam,
  seamOpening,
  type Side,
  strokesOf
} from './seamOpening';
export { type PatternNames, renamedPattern } from './renamedPattern';
export { Sequence } from './sequence';
export { stopPart, type StopPart } from './stopPart';
export { stabiliserFields, type StabiliserKind, STABILISERS, stabiliserWords } from './stabilisers';
