import { z } from 'zod';
import { OwnPattern } from '$lib/core/documents/pattern';
import {
  type Lift,
  type RawDocument,
  versioned,
  versionField,
  type VersionHistory,
  versionOf
} from '$lib/core/documents/versions';
import { PIECE_USES } from '$lib/core/documents/item';
import { DEFAULT_OFFCUT_RULE, OffcutRule, Offer } from './buying';
import { HAND_TIME_KEYS, HandTimes } from './handTimes';
import { Learned } from './learned';
import { PaperLayout } from './paperLayout';
import { Trial } from './trial';
import { Workroom } from './workroom';
import { BOBBIN_KINDS, BobbinKind, BobbinOn, Spool } from './supplies';

/** Version 2: hand times that are no longer told apart fall away. */
const withTodaysHands: Lift = (shop) => {
  const own = (shop.hands ?? {}) as RawDocument;
  return {
    ...shop,
    hands: Object.fromEntries(HAND_TIME_KEYS.flatMap((key) => (key in own ? [[key, own[key]]] : [])))
  };
};

/** Versions of a shop: one list of hand times for all. */
export const SHOP_HISTORY: VersionHistory = { kind: 'shop', lifts: [withTodaysHands] };
export const SHOP_VERSION = versionOf(SHOP_HISTORY);
/** Versions of a setup. */
export const SETUP_HISTORY: VersionHistory = { kind: 'setup', lifts: [] };
export const SETUP_VERSION = versionOf(SETUP_HISTORY);

const Id = z.string().min(1).max(120);
const Spm = z.number().int().min(50).max(1500);
const Mm = z.number().min(0).max(5000);

export const Machine = z.object({
  id: Id,
  name: z.string().min(1).max(80),
  needles: z.number().int().min(1).max(20),
  heads: z.number().int().min(1).max(24).default(1),
  setSpm: Spm.describe('speed the maker sets, stitches a minute'),
  maxSpm: Spm.describe('highest speed of the machine'),
  paceSpm: Spm.nullable().describe(
    'what it really averages; null until known: 420 on one needle, 800 on several'
  ),
  trimmer: z.boolean(),
  headsRun: z
    .enum(['together', 'apart'])
    .optional()
    .describe('heads stitch the same at the same time (where missing), or each by itself'),
  unreached: z
    .array(z.object({ left: Mm, right: Mm }))
    .max(20)
    .optional()
    .describe('what each needle, from the first, does not reach at either side of a field, mm'),
  panel: z
    .object({
      copies: z.enum(['grid', 'one']).describe('it repeats in rows and columns, or stitches one copy'),
      unit: z.enum(['mm', 'tenths', 'in']).default('mm').describe('of lengths at its panel'),
      asks: z.enum(['across-first', 'counts-first']).default('across-first')
    })
    .optional()
    .describe('what its panel can do with copies; each is placed by itself where missing'),
  fileEnding: z
    .string()
    .trim()
    .regex(/^[a-z0-9]{1,8}$/i, 'an ending is letters and digits, without the dot')
    .optional()
    .describe('ending of the files it reads, without the dot'),
  counts: z
    .enum(['stop', 'design'])
    .optional()
    .describe('whether it counts stitches within the stop (where missing) or over the whole design'),
  threaded: z
    .array(z.object({ name: z.string().max(80), colour: z.string().max(7) }).nullable())
    .max(20)
    .optional()
    .describe('what is on the needles, from the first'),
  needleFitted: z
    .record(z.string(), z.iso.datetime())
    .optional()
    .describe('when each needle was put in, by its number')
});
export type Machine = z.infer<typeof Machine>;

export const Hoop = z.object({
  id: Id,
  name: z.string().min(1).max(80),
  field: z.object({ width: Mm.min(10), height: Mm.min(10) }).describe('area the needle can reach, mm'),
  ring: z.object({ width: Mm.min(10), height: Mm.min(10) }).describe('outer size of the ring, mm'),
  capSpm: Spm.nullable().default(null).describe('highest speed in this hoop, if it has one'),
  count: z.number().int().min(1).max(50).optional().describe('hoops of this size; one where missing'),
  positions: z
    .number()
    .int()
    .min(1)
    .max(4)
    .optional()
    .describe('mounting positions at which it is clicked on, one after the other; one where missing'),
  safe: Mm.max(100)
    .optional()
    .describe('what stitches keep from the edge of the field, mm; nothing where missing')
});
export type Hoop = z.infer<typeof Hoop>;

export const Shop = versioned(
  SHOP_HISTORY,
  z.object({
    schema: z.literal('jolt-step/shop'),
    version: versionField(SHOP_HISTORY),
    id: Id,
    name: z.string().min(1).max(120),
    unit: z.enum(['mm', 'in']),
    rounding: z.enum(['quarter-inch', '5mm']),
    machines: z.array(Machine).min(1),
    hoops: z.array(Hoop).min(1),
    hands: HandTimes,
    cutAccuracy: z
      .number()
      .min(0)
      .max(10)
      .default(1)
      .describe('how far a cut of this maker strays from its line, mm'),
    margins: z
      .partialRecord(z.enum(PIECE_USES), z.number().min(0).max(500))
      .default({})
      .describe('margins on each side that differ from the usual ones, mm'),
    offcuts: OffcutRule.default(DEFAULT_OFFCUT_RULE),
    offers: z.array(Offer).nullable().default(null).describe('what can be bought; the usual where null'),
    schools: z
      .record(z.string(), z.string())
      .default({})
      .describe('how the maker answers where makers differ'),
    dieLayers: z
      .number()
      .int()
      .min(1)
      .max(20)
      .optional()
      .describe('layers of cloth a die takes; the usual number where missing'),
    bobbins: z
      .array(BobbinKind)
      .min(1)
      .max(20)
      .default(() => [...BOBBIN_KINDS]),
    patterns: z.array(OwnPattern).max(200).optional().describe('ways of building that the maker has kept'),
    layouts: z
      .array(PaperLayout)
      .max(100)
      .optional()
      .describe('how the charts of houses are laid out, as the maker settled it'),
    people: z
      .array(z.string().trim().min(1).max(60))
      .max(20)
      .optional()
      .describe('who works here, where it is more than one'),
    spoilage: z
      .number()
      .min(0)
      .max(0.5)
      .optional()
      .describe('share that comes out bad, as the last order taught it; for new orders'),
    trials: z.array(Trial).max(200).optional().describe('what test stitches showed'),
    workroom: Workroom.optional().describe('its hours, days off and machines that are away'),
    learned: Learned.optional().describe('computed from the logged runs; left out when the shop is stored'),
    needleHours: z
      .number()
      .min(1)
      .max(200)
      .default(8)
      .describe('hours a needle stitches before it is changed')
  })
);
export type Shop = z.infer<typeof Shop>;

/** How one item is made this time: a plan is always made for a setup. */
export const Setup = versioned(
  SETUP_HISTORY,
  z.object({
    schema: z.literal('jolt-step/setup'),
    version: versionField(SETUP_HISTORY),
    itemId: Id,
    variantId: Id,
    machineId: Id,
    hoopId: Id,
    turned: z
      .boolean()
      .optional()
      .describe('the design is turned a quarter in the hoop; upright where missing'),
    copies: z.number().int().min(1).max(500).default(1),
    threads: z.record(z.string(), Spool).default({}).describe('spool used for a thread of the item'),
    bobbin: z.string().max(80).default('white').describe('what bobbins are usually wound with'),
    bobbinKind: Id.optional(),
    bobbinOn: BobbinOn.optional().describe('in the machine before the start; none where missing'),
    schools: z.record(z.string(), z.string()).default({}),
    person: z.string().max(60).optional().describe('whose hands; nobody in particular where missing'),
    claimedMinutes: z.number().min(0).max(100_000).optional().describe('what a seller says it takes'),
    displayedMinutes: z.number().min(0).max(100_000).optional().describe('what the machine shows')
  })
);
export type Setup = z.infer<typeof Setup>;
