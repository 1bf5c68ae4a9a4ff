import { z } from 'zod';
import { versioned, versionField, type VersionHistory, versionOf } from '$lib/core/documents/versions';
import { Path, SHAPES } from '$lib/core/base/geometry';
import { Block } from './block';
import { Operation } from './operation';
import { LIMITS } from './limits';
import { withCodes } from './lifts';
import { HexColour, Material } from './material';
import { Id, Mm, Variants } from './parts';
import { Phase, Stitched } from './phase';
import { Piece, PieceUse } from './piece';
import { Answer, Remark } from './remark';
import { SheetOnPaper } from './sheetOnPaper';
import { Art } from './picture';
import { Role } from './roles';

/** Versions of an item: answers and remarks got codes. */
export const ITEM_HISTORY: VersionHistory = { kind: 'item', lifts: [withCodes] };
export const ITEM_VERSION = versionOf(ITEM_HISTORY);

/** A thread of the item: what it looks like and what the maker calls it. */
export const Thread = z.object({ id: Id, name: z.string().min(1).max(80), colour: HexColour });
export type Thread = z.infer<typeof Thread>;

/** The row of the maker's chart that a stop came from, kept as it was read. */
export const ChartRow = z.object({
  line: z.number().int().min(1),
  number: z.number().int().min(0).nullable(),
  name: z.string().max(200),
  colour: z.string().max(120),
  stitches: z.number().int().min(0).nullable(),
  threadMetres: z.number().min(0).nullable()
});
export type ChartRow = z.infer<typeof ChartRow>;

/** Where a stitch count comes from, since a guess must never look like a fact. */
export const CountSource = z.enum(['chart', 'maker', 'geometry', 'estimate', 'none']);
export type CountSource = z.infer<typeof CountSource>;

export const Stop = z.object({
  id: Id,
  expects: Id.optional().describe('the expected stop of the construction that this stop fulfils'),
  number: z
    .number()
    .int()
    .min(0)
    .nullable()
    .describe('the machine’s number; null where the file has no such stop'),
  name: z.string().min(1).max(200),
  chart: ChartRow.optional(),
  role: Role,
  confidence: z.number().min(0).max(1),
  threadId: Id,
  visible: z.enum(['front', 'back', 'both', 'hidden', 'unknown']).default('unknown'),
  countSource: CountSource,
  phases: z.array(Phase).min(1).max(LIMITS.phases),
  lineIds: z.array(Id).max(LIMITS.lines).default([]),
  stitched: Stitched.optional().describe('its stitches, where they are known one by one'),
  halts: z.boolean().default(true).describe('hands are needed after this stop'),
  protected: z.boolean().default(false).describe('a bobbin must not run out inside this stop'),
  through: z
    .boolean()
    .default(false)
    .describe('goes through every layer on purpose, as quilting through all'),
  apart: z
    .boolean()
    .optional()
    .describe(
      'the maker says: its stitches lie clear of those of other stops, so it may come before or after'
    )
});
export type Stop = z.infer<typeof Stop>;

const StitchFile = z.object({
  id: Id,
  variantId: Id,
  name: z.string().max(200),
  oneColour: z.boolean().optional().describe('run in one-colour mode: it does not halt between its stops'),
  threadMeaning: z
    .enum(['used', 'path'])
    .optional()
    .describe('what charted thread lengths are: thread used (where missing), or the bare path of the needle'),
  source: z
    .object({
      kind: z.enum(['pasted-chart', 'pdf-chart', 'drawing', 'stitch-list']),
      name: z.string().max(200).optional().describe('name of the file it came in'),
      text: z.string().max(200_000),
      setAside: z.array(z.number().int().min(1)).default([]).describe('lines the maker says are no stops')
    })
    .optional(),
  stops: z.array(Stop).max(LIMITS.stops)
});
type StitchFile = z.infer<typeof StitchFile>;

/** Openings left in a line, mm along its path. */
const Gaps = z
  .array(
    z.object({
      from: Mm,
      to: Mm,
      stays: z.boolean().optional().describe('it is never closed, as the mouth of a bag')
    })
  )
  .max(100)
  .default([]);

export const Line = z.object({
  id: Id,
  name: z.string().min(1).max(80),
  frame: Id.describe('the hooping in which this line registers'),
  path: Path,
  gaps: Gaps
});
export type Line = z.infer<typeof Line>;

/** What may differ of a piece in a variant: its cloth, its layers, what it is for. */
const VariantPiece = z.object({
  material: Material.optional(),
  plies: z.number().int().min(1).max(20).optional(),
  use: PieceUse.optional(),
  covers: Id.nullable().optional(),
  shows: Piece.shape.shows.optional(),
  shape: z.enum(['rough', 'pre-cut']).optional()
});

const StepBase = z.object({
  id: Id,
  hoopingId: Id,
  needs: z.array(Id).default([]).describe('steps that must come before'),
  note: z.string().max(2000).default(''),
  only: Variants
});
export const StopStep = StepBase.extend({
  kind: z.literal('stop'),
  stopId: Id,
  pass: z.number().int().min(1).max(20).default(1)
});
export const HandStep = StepBase.extend({ kind: z.literal('hand'), op: Operation });
export const Step = z.discriminatedUnion('kind', [StopStep, HandStep]);
export type Step = z.infer<typeof Step>;
export type StopStep = z.infer<typeof StopStep>;
export type HandStep = z.infer<typeof HandStep>;

export const Hooping = z.object({
  id: Id,
  name: z.string().min(1).max(80),
  hooped: z.array(Id).describe('pieces the ring clamps'),
  mounting: z.number().int().min(1).default(1)
});
export type Hooping = z.infer<typeof Hooping>;

export const Variant = z.object({
  id: Id,
  name: z.string().min(1).max(80),
  shape: z.enum([...SHAPES, 'drawn']),
  size: z.object({ width: Mm, height: Mm }).describe('outline as stitched, mm'),
  finished: z.object({ width: Mm, height: Mm }).describe('size of the finished item, mm'),
  edge: z.string().max(80),
  overrides: z.record(z.string(), z.unknown()).default({}).describe('answers that differ from the item’s'),
  lines: z
    .record(z.string(), z.object({ path: Path, gaps: Gaps }))
    .default({})
    .describe('lines that run otherwise in this variant, by line'),
  phases: z
    .record(z.string(), z.array(Phase).min(1).max(LIMITS.phases))
    .default({})
    .describe('stitches of stops that differ, by stop'),
  pieces: z
    .record(z.string(), VariantPiece)
    .default({})
    .describe('what differs of pieces in this variant, by piece'),
  ops: z
    .record(z.string(), Operation)
    .default({})
    .describe('hand steps done otherwise in this variant, by step')
});
export type Variant = z.infer<typeof Variant>;

/** What to make. */
export const Item = versioned(
  ITEM_HISTORY,
  z
    .object({
      schema: z.literal('jolt-step/item'),
      version: versionField(ITEM_HISTORY),
      id: Id,
      name: z.string().min(1).max(120),
      note: z.string().max(5000).default(''),
      house: z
        .string()
        .trim()
        .max(80)
        .optional()
        .describe('whose design it is; houses differ in how dense they stitch'),
      construction: z.string().max(60).optional(),
      params: z.record(z.string(), z.unknown()).default({}),
      blocks: z
        .array(Block)
        .max(LIMITS.blocks)
        .optional()
        .describe('its blocks in their order, where they are not what its construction takes'),
      paper: SheetOnPaper.optional().describe('the instruction sheet it was made from'),
      createdAt: z.iso.datetime(),
      updatedAt: z.iso.datetime(),
      putAwayAt: z.iso.datetime().optional(),
      threads: z.array(Thread).max(LIMITS.threads),
      variants: z.array(Variant).min(1).max(LIMITS.variants),
      hoopings: z.array(Hooping).min(1).max(LIMITS.hoopings),
      files: z.array(StitchFile).max(LIMITS.files),
      lines: z.array(Line).max(LIMITS.lines),
      pieces: z.array(Piece).max(LIMITS.pieces),
      steps: z.array(Step).max(LIMITS.steps),
      remarks: z.array(Remark).max(LIMITS.steps).default([]),
      answers: z.array(Answer).max(LIMITS.steps).default([]),
      art: z.array(Art).max(LIMITS.art).optional(),
      trial: z
        .object({ of: Id.nullable() })
        .optional()
        .describe('it is a test stitch, for this item or for none'),
      photo: Id.optional().describe('picture of the finished item, shown in place of the drawn one')
    })
    .superRefine(refuseTooMuch)
);
export type Item = z.infer<typeof Item>;

/** What no single field can see: all stops and stitches of an item together. */
function refuseTooMuch(
  { files }: { files: { stops: { phases: { stitches: number }[] }[] }[] },
  context: z.RefinementCtx
): void {
  const stops = files.reduce((sum, file) => sum + file.stops.length, 0);
  const stitches = files.reduce(
    (sum, file) =>
      sum +
      file.stops.reduce((all, { phases }) => all + phases.reduce((own, phase) => own + phase.stitches, 0), 0),
    0
  );
  const refuse = (what: string, count: number, most: number): void => {
    if (count > most)
      context.addIssue({
        code: 'custom',
        path: ['files'],
        message: `${count.toLocaleString('en')} ${what} in all: an item has at most ${most.toLocaleString('en')}`
      });
  };
  refuse('stops', stops, LIMITS.stops);
  refuse('stitches', stitches, LIMITS.stitches);
}
