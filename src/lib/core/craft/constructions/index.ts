export type { AnyConstruction, Question } from './construction';
export type { DetailColour, ExpectedStop, Pattern } from './pattern';
export { piecesPerFile } from './piecesPerFile';
export { CONSTRUCTIONS, constructionOf } from './all';
