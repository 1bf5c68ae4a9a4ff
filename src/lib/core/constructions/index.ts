import type { AnyConstruction } from './construction';
import { sealed } from './construction';
import { patch } from './patch';
import { snapTab } from './snapTab';

export { align, type Alignment, type FixedMatch, type RowMatch } from './align';
export { assemble, type AssembleInput, type ChartInput } from './assemble';
export type { AnyConstruction, Question } from './construction';
export type { DetailColour, ExpectedStop, Pattern, PatternEntry } from './pattern';

/** Every construction the application knows, in the order it offers them. */
export const CONSTRUCTIONS: readonly AnyConstruction[] = [sealed(snapTab), sealed(patch)];

/** The construction of a kind, or undefined. */
export function constructionOf(kind: string): AnyConstruction | undefined {
  return CONSTRUCTIONS.find((construction) => construction.kind === kind);
}
