export { Block } from './block';
export {
  addHandStep,
  addThread,
  answerFinding,
  isAbout,
  editStep,
  editStop,
  moveStep,
  moveStepAfter,
  removeStep,
  setOneColour,
  type StopChange,
  takeBackAnswer
} from './edit';
export { comparedName, findLine, findPiece, findStop, findThread, stitchesOf } from './find';
export {
  EdgeOnLine,
  Face,
  HARDWARE,
  Hold,
  Operation,
  type OperationKind,
  type OperationOf
} from './operation';
export { brokenReferences } from './references';
export { namesIn, renamedIn } from './renamed';
export { drawsLine, Role, ROLE_WORDS, ROLES, stitchKind } from './roles';
export {
  ChartRow,
  CountSource,
  HandStep,
  Hooping,
  Item,
  ITEM_HISTORY,
  ITEM_VERSION,
  Line,
  Step,
  Stop,
  StopStep,
  Thread,
  Variant
} from './schema';
export { Phase, Stitched } from './phase';
export { Remark } from './remark';
export { Art, ClothPhoto, picturesIn } from './picture';
export { forVariant, variantOf } from './variant';
export { removeVariant, renameVariant } from './variantEdits';
export {
  FRAYS,
  isStabiliserKind,
  isTwoSided,
  PILE,
  sinksIn,
  Material,
  MATERIAL_KINDS,
  MaterialKind,
  WASHES_OUT,
  STABILISERS
} from './material';
export { Piece, PIECE_USES, PieceUse, type SewnUp } from './piece';
