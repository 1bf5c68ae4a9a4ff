export type { AnyConstruction } from './construction';
export type { Question } from './fields';
export { type DetailColour, edgePhases, type ExpectedStop, type Pattern, type PatternEntry } from './pattern';
export { CONSTRUCTIONS, constructionOf } from './all';
