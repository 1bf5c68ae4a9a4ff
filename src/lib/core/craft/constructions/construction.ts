import { z } from 'zod';
import { compose, type Composed, type Offer, offersAt } from '$lib/core/craft/blocks';
import {
  type AnswersOf,
  type Fields,
  type Question,
  questionsOf,
  type Sequence,
  withUsual
} from '$lib/core/craft/sequence';
import type { Block } from '$lib/core/documents/item';
import { Lately } from './lately';
import { withoutParts } from './parts';

/**
 * A way of building an item: what it asks and what it makes of the answers. One file holds one. Its fields carry their usual
 * answers, so an item can be made without asking anything.
 */
export interface Construction<F extends Fields = Fields> {
  kind: string;
  name: string;
  /** What makers call items that are built so, in small letters; a paper’s title may say it. */
  called?: readonly string[];
  summary: string;
  fields: F;
  /** Finished pieces that one stitching of the file gives, where it is more than one. */
  piecesPerFile?: (answers: AnswersOf<F>) => number;
  /** Its outline. */
  draft(answers: AnswersOf<F>): Sequence;
  /** The blocks it is made of, in their order. */
  recipe: (answers: AnswersOf<F>) => Block[];
}

/** What a construction makes of answers and blocks. */
export type Made =
  ({ ok: true; construction: string; params: Record<string, unknown>; blocks: Block[] } & Composed) | NotMade;
interface NotMade {
  ok: false;
  /** One sentence for each wrong answer. */
  problems: string[];
}

/** What the rest of the application needs of any construction. */
export interface AnyConstruction {
  kind: string;
  name: string;
  /** What makers call items that are built so. */
  called: readonly string[];
  summary: string;
  questions: Question[];
  defaults: Record<string, unknown>;
  /**
   * Makes the pattern from answers that nobody has checked.
   *
   * @param blocks what the item is made of, where that is not what the construction would take
   * @returns the pattern with the full answers, or one sentence for each wrong answer
   */
  patternOf(answers: Record<string, unknown>, blocks?: readonly Block[]): Made;
  /**
   * The blocks for answers, without what they make.
   *
   * @param blocks the maker’s own, where they are not those of the recipe
   * @returns null for answers that are wrong
   */
  blocksOf(answers: Record<string, unknown>, blocks?: readonly Block[]): Block[] | null;
  /** Every block, and whether it could stand before the block at a place; none for answers that are wrong. */
  offers(answers: Record<string, unknown>, blocks: readonly Block[], at: number): Offer[];
  /** Finished pieces that one stitching of the file gives; one for answers that are wrong. */
  piecesPerFile(answers: Record<string, unknown>): number;
}

/** So many of the last things a construction made are at hand: one edit asks for the same several times. */
const LATELY = 24;

/** The schema of a construction’s answers. */
function answersOf<F extends Fields>(fields: F): z.ZodType<AnswersOf<F>> {
  const shape = Object.fromEntries(Object.entries(fields).map(([key, { answer }]) => [key, answer]));
  // Each key has the schema of its own field.
  return z.object(shape) as unknown as z.ZodType<AnswersOf<F>>;
}

/** The usual answers of a construction, some of them given. */
export function usualAnswers<F extends Fields>(
  { fields }: Construction<F>,
  given: Partial<AnswersOf<F>> = {}
): AnswersOf<F> {
  return answersOf(fields).parse(given);
}

/** Hides a construction’s own type of answers behind one that checks them. */
export function sealed<F extends Fields>(construction: Construction<F>): AnyConstruction {
  const { kind, name, called = [], summary, fields } = construction;
  const answers = answersOf(fields);
  const [questions, defaults] = [questionsOf(fields), answers.parse({})];
  // What was not answered is usual for what was.
  const readIn = (given: Record<string, unknown>) => answers.safeParse(withUsual(questions, defaults, given));
  const made = new Lately<Made>(LATELY);
  const blocksFor = (data: AnswersOf<F>, own?: readonly Block[]): Block[] => {
    const recipe = construction.recipe(data);
    return own ? withoutParts(kind, own, recipe) : recipe;
  };
  return {
    kind,
    name,
    called,
    summary,
    questions,
    defaults,
    patternOf(given, own) {
      const parsed = readIn(given);
      if (parsed.success)
        return made.of(JSON.stringify([parsed.data, own ?? null]), () => {
          const blocks = blocksFor(parsed.data, own);
          const composed = compose(() => construction.draft(parsed.data), blocks);
          return { ok: true, construction: kind, params: parsed.data, blocks, ...composed };
        });
      const labelOf = (key: PropertyKey | undefined): string =>
        fields[String(key)]?.asked?.label ?? String(key ?? 'Answers');
      return {
        ok: false,
        problems: parsed.error.issues.map(({ path, message }) => `${labelOf(path[0])}: ${message}`)
      };
    },
    blocksOf(given, own) {
      const parsed = readIn(given);
      return parsed.success ? blocksFor(parsed.data, own) : null;
    },
    offers(given, blocks, at) {
      const parsed = readIn(given);
      if (!parsed.success) return [];
      return offersAt(() => construction.draft(parsed.data), blocksFor(parsed.data, blocks), at);
    },
    piecesPerFile(given) {
      const parsed = readIn(given);
      return (parsed.success && construction.piecesPerFile?.(parsed.data)) || 1;
    }
  };
}
