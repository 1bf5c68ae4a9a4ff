import { z } from 'zod';

/** What a column of a chart may hold. */
export const PAPER_FIELDS = ['number', 'name', 'colour', 'code', 'stitches', 'thread'] as const;
export type PaperField = (typeof PAPER_FIELDS)[number];

const Heading = z.string().max(120);

/** How the charts of one house are laid out, as the maker settled it once: papers of the same structure and headings are read so. */
export const PaperLayout = z.object({
  name: z.string().min(1).max(120).describe('the house, or the paper it was settled on'),
  settledAt: z.iso.datetime(),
  structure: z.enum(['table', 'turned', 'cards', 'sentences', 'ragged']),
  headings: z
    .array(Heading)
    .max(60)
    .describe('one a column before any is taken apart; empty where there is none'),
  cuts: z
    .array(z.object({ at: z.number().int().min(0).max(200), way: z.string().min(1).max(40) }))
    .max(10)
    .describe('which columns are taken apart, one after the other, and in which of the known ways'),
  fields: z.array(z.enum(PAPER_FIELDS).nullable()).max(120).describe('what each column then holds')
});
export type PaperLayout = z.infer<typeof PaperLayout>;

/** What tells the papers of a house: their structure and headings. */
type PaperSignature = Pick<PaperLayout, 'structure' | 'headings'>;

/**
 * Whether two papers are laid out in the same way.
 *
 * @example
 * isSameLayout({ structure: 'table', headings: ['Nr'] }, { structure: 'table', headings: ['nr '] }) // true
 */
export function isSameLayout(a: PaperSignature, b: PaperSignature): boolean {
  const plain = (heading: string): string => heading.trim().toLowerCase().replace(/\s+/g, ' ').slice(0, 120);
  return (
    a.structure === b.structure &&
    a.headings.length === b.headings.length &&
    a.headings.every((heading, at) => plain(heading) === plain(b.headings[at] ?? ''))
  );
}
