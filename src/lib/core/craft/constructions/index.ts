export { answered } from './answered';
export type { AnyConstruction, Made } from './construction';
export { isOwn, questionsOf, withOwn } from './ownPattern';
export { CONSTRUCTIONS, constructionOf } from './all';
