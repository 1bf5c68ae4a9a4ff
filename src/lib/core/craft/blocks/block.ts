import { z } from 'zod';
import { type AnswersOf, type Fields, type Question, questionsOf, withUsual } from '$lib/core/craft/sequence';
import type { Frame } from './frame';
import { noTopping, type Refusal } from './refusals';
import type { Site } from './site';
import type { Standing } from './standing';

/**
 * Work that many items share: what it asks, where it can stand, and what it makes of the answers: pieces, lines, stops, hand
 * steps, and what must hold for it to come out right.
 */
export interface BlockMaker<F extends Fields = Fields> {
  kind: string;
  name: string;
  summary: string;
  /** Where it stands in the list it is chosen from. */
  group: BlockGroup;
  fields: F;
  /** It lays cloth on the work or cuts it: a topping would be shut in, or cut. */
  lays?: true;
  /** What it decides of the whole item, before anything is stitched: where its edge runs. */
  frames?: (frame: Frame, answers: AnswersOf<F>) => Frame;
  /** Why it cannot stand here; null where it can. */
  refuses: (standing: Standing, answers: AnswersOf<F>) => Refusal | null;
  make(site: Site, answers: AnswersOf<F>): void;
}

export const BLOCK_GROUPS = [
  'Hooping',
  'Cloth',
  'Stitching',
  'Openings',
  'Caught in',
  'Back and edge',
  'Afterwards'
] as const;
type BlockGroup = (typeof BLOCK_GROUPS)[number];

/** A block of any kind, its answers checked behind one door. */
export interface AnyBlock extends Pick<BlockMaker, 'kind' | 'name' | 'summary' | 'group'> {
  questions: Question[];
  defaults: Record<string, unknown>;
  /** What it does with answers nobody has checked; one sentence for each that is wrong. */
  with(answers: Record<string, unknown>): { ok: true; block: ReadyBlock } | { ok: false; problems: string[] };
}

/** A block whose answers are right. */
export interface ReadyBlock {
  hoops: boolean;
  lays: boolean;
  frames(frame: Frame): Frame;
  refuses(standing: Standing): Refusal | null;
  make(site: Site): void;
}

/** Hides a block’s own type of answers behind one that checks them. */
export function sealedBlock<F extends Fields>(maker: BlockMaker<F>): AnyBlock {
  const { kind, name, summary, group, fields } = maker;
  const shape = Object.fromEntries(Object.entries(fields).map(([key, { answer }]) => [key, answer]));
  // Each key has the schema of its own field.
  const answers = z.object(shape) as unknown as z.ZodType<AnswersOf<F>>;
  const questions = questionsOf(fields);
  const defaults = answers.parse({}) as Record<string, unknown>;
  return {
    kind,
    name,
    summary,
    group,
    questions,
    defaults,
    with(given) {
      // What was not answered is usual for what was.
      const parsed = answers.safeParse(withUsual(questions, defaults, given));
      if (!parsed.success)
        return {
          ok: false,
          problems: parsed.error.issues.map(
            ({ path, message }) => `${fields[String(path[0])]?.asked?.label ?? 'Answers'}: ${message}`
          )
        };
      const { data } = parsed;
      return {
        ok: true,
        block: {
          hoops: group === 'Hooping',
          lays: maker.lays === true,
          frames: (frame) => maker.frames?.(frame, data) ?? frame,
          refuses: (standing) =>
            maker.refuses(standing, data) ?? (maker.lays === true ? noTopping(standing) : null),
          make: (site) => maker.make(site, data)
        }
      };
    }
  };
}
