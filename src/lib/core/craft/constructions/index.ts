export type { AnyConstruction } from './construction';
export type { Question } from './fields';
export type { DetailColour, ExpectedStop, Pattern } from './pattern';
export { CONSTRUCTIONS, constructionOf } from './all';
