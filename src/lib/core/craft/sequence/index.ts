export {
  type AnswersOf,
  choice,
  count,
  type Field,
  type Fields,
  heldAs,
  type HeldBy,
  hold,
  length,
  material,
  outline,
  type Question,
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
export { Sequence } from './sequence';
export { stopPart, type StopPart } from './stopPart';
export { addStabiliser, type StabiliserAnswers, stabiliserFields, takeStabiliserOff } from './stabilisers';
