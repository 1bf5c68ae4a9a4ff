export type { AnyConstruction, Made } from './construction';
export { CONSTRUCTIONS, constructionOf } from './all';
