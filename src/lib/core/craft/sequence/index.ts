export { estimateAlong } from './estimate';
export {
  type AnswersOf,
  choice,
  count,
  type Fields,
  heldAs,
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
  threads
} from './fields';
export { TOPSTITCH_S } from './handWork';
export { MATERIALS } from './materials';
export {
  blanketPhase,
  type DetailColour,
  edgePhases,
  type ExpectedStop,
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
export { Sequence } from './sequence';
export { stopPart, type StopPart } from './stopPart';
export { addStabiliser, stabiliserFields, takeStabiliserOff } from './stabilisers';
