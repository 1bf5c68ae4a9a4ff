import { z } from 'zod';
import { versioned, versionField, type VersionHistory, versionOf } from '$lib/core/documents/versions';
import { Path } from '$lib/core/base/geometry';
import { ClothPhoto, MaterialKind } from '$lib/core/documents/item';

/** Versions of a line of the stash; the first had no version. */
export const STASH_ENTRY_HISTORY: VersionHistory = { kind: 'line of the stash', lifts: [] };
/** Versions of a stash. */
export const STASH_HISTORY: VersionHistory = { kind: 'stash', lifts: [] };
export const STASH_VERSION = versionOf(STASH_HISTORY);

const Id = z.string().min(1).max(120);
const Mm = z.number().min(0).max(100_000);
const Side = z
  .number('give a length')
  .min(1, 'a side must be above 0')
  .max(100_000, 'longer than 100 m: too long to be true');
const Count = z
  .number('give a number')
  .int('give a whole number')
  .min(0, 'not below 0')
  .max(100_000, 'too many to be true');
const Share = z.number('give a number').min(0, 'not below 0').max(30, 'at most 30 %');

const Common = {
  version: versionField(STASH_ENTRY_HISTORY).optional().describe('1 where missing'),
  id: Id,
  name: z.string().trim().min(1, 'give it a name').max(80),
  colour: z.string().regex(/^#[0-9a-f]{6}$/, 'choose a colour'),
  place: z.string().max(80).default('').describe('where it is kept'),
  price: z
    .number('give a price')
    .min(0, 'a price is not below 0')
    .max(100_000)
    .nullable()
    .default(null)
    .describe('of a metre of a length or roll, or of one; null where unknown'),
  note: z.string().max(500).default('')
};

/** A rectangle of a piece, mm from its corner. */
const Box = z.object({ x: Mm, y: Mm, width: Mm, height: Mm });

/** Cloth, felt, vinyl, batting, stabiliser, fusible: whatever is cut. */
export const ClothEntry = z.object({
  ...Common,
  what: z.literal('cloth'),
  kind: MaterialKind,
  form: z.enum(['length', 'roll', 'sheets', 'scrap']),
  width: Side.describe('between the selvedges, of the roll, or of a sheet or scrap, mm'),
  height: Side.describe('length left, or the other side of a sheet or scrap, mm'),
  count: Count.default(1).describe('sheets of this size; 1 for anything else'),
  outline: Path.optional().describe('shape of a scrap that is no rectangle'),
  stitched: z.array(Box).max(40).default([]).describe('parts of a hooped piece already stitched'),
  alike: z.boolean().default(false).describe('both sides look alike'),
  direction: z
    .enum(['fixed', 'either-way', 'any'])
    .default('any')
    .describe(
      'how pieces may lie: one way only as for nap, upside down too, or turned by 90 degrees as well'
    ),
  prewashed: z.boolean().default(false),
  shrinkage: z
    .object({ along: Share, across: Share })
    .default({ along: 0, across: 0 })
    .describe('what a wash takes off it, %'),
  photo: ClothPhoto.optional()
});
export type ClothEntry = z.infer<typeof ClothEntry>;

export const ThreadEntry = z.object({
  ...Common,
  what: z.literal('thread'),
  spools: Count.default(1),
  metres: z.number('give a length').min(0, 'not below 0').max(1_000_000).describe('left on all spools')
});
export type ThreadEntry = z.infer<typeof ThreadEntry>;

/** What is counted: zips, bobbins, needles, snaps and other notions. */
const COUNTED = ['zip', 'bobbin', 'needle', 'notion'] as const;
export const CountedEntry = z.object({
  ...Common,
  what: z.enum(COUNTED),
  count: Count,
  length: Mm.nullable().default(null).describe('of a zip, mm'),
  size: z.string().max(40).default('').describe('of a needle or notion')
});
export type CountedEntry = z.infer<typeof CountedEntry>;

/** One line of the stash. */
export const StashEntry = versioned(
  STASH_ENTRY_HISTORY,
  z.discriminatedUnion('what', [ClothEntry, ThreadEntry, CountedEntry])
);
export type StashEntry = z.infer<typeof StashEntry>;

/** The whole stash, as it is exported and brought in. */
export const Stash = versioned(
  STASH_HISTORY,
  z.object({
    schema: z.literal('jolt-step/stash'),
    version: versionField(STASH_HISTORY),
    entries: z.array(StashEntry).max(5000)
  })
);
export type Stash = z.infer<typeof Stash>;

/** What happened to one entry: both sides kept, so that it can be taken back. */
export const StashChange = z.object({
  id: Id,
  before: StashEntry.nullable(),
  after: StashEntry.nullable()
});
export type StashChange = z.infer<typeof StashChange>;
