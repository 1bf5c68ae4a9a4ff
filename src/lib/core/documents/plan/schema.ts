import { z } from 'zod';
import {
  type RawDocument,
  versioned,
  versionField,
  type VersionHistory,
  versionOf
} from '$lib/core/documents/versions';
import { CountSource, Operation, Role, Thread } from '$lib/core/documents/item';
import { BobbinKind, BobbinOn } from '$lib/core/documents/shop';
import { CutPiece } from './cutPiece';
import { Estimate } from './estimate';
import { HoopState } from './hoopState';
import { Mark } from './mark';

/** Version 2: a warning had an id; now it has a code. The very first plans named no variant: there was but one. */
function withWarningCodes(plan: RawDocument): RawDocument {
  const warnings = Array.isArray(plan.warnings) ? (plan.warnings as RawDocument[]) : [];
  return {
    variant: { id: 'variant-1', name: 'As drawn' },
    ...plan,
    warnings: warnings.map(({ id, ...rest }) => ({ ...rest, code: `plan/${String(id)}` }))
  };
}

/** Versions of a plan: warnings got codes. */
export const PLAN_HISTORY: VersionHistory = { kind: 'plan', lifts: [withWarningCodes] };
export const PLAN_VERSION = versionOf(PLAN_HISTORY);

/** What a plan says of a stop, beside its step. */
export const PlanStop = z.object({
  stopId: z.string(),
  machineNumber: z.number().int().nullable(),
  pass: z.number().int(),
  role: Role,
  confidence: z.number(),
  charted: z.string().describe('colour as charted, empty where no chart says'),
  called: z.string().optional().describe('what the row of the chart calls it, where that is another name'),
  visible: z.enum(['front', 'back', 'both', 'hidden', 'unknown']),
  protected: z.boolean(),
  halts: z.boolean(),
  jump: z
    .object({ way: z.enum(['forward', 'back']), to: z.number().int(), waiting: z.array(z.number().int()) })
    .nullable()
    .default(null)
    .describe('where to send the machine before it, and which stops wait still'),
  stitches: z.number().int(),
  countSource: CountSource,
  guess: z
    .object({ factor: z.number().min(1), items: z.number().int().min(0) })
    .optional()
    .describe('of a count that nobody has charted: how far it may be off, and the charted items it rests on'),
  upperMetres: z.number(),
  bobbinMetres: z.number(),
  threadSource: z.enum(['chart', 'geometry', 'role-average', 'none']),
  needle: z
    .object({ stitching: z.number(), overhead: z.number(), trims: z.number() })
    .optional()
    .describe('what its needle time is made of before anything was learned, s'),
  geometry: z
    .object({
      source: z.enum(['list', 'drawing', 'lines']),
      length: z.number().describe('of all stitches, mm'),
      density: z.number().describe('stitches to a square millimetre of the box round them'),
      jumps: z.number().int()
    })
    .nullable()
    .default(null)
    .describe('what was measured, where the stitches are known')
});
export type PlanStop = z.infer<typeof PlanStop>;

/** One line of the merged sheet. Numbers run from 1 over the whole item. */
export const PlanStep = z.object({
  id: z.string(),
  number: z.number().int(),
  itemStepId: z.string().nullable().describe('null for a step that the setup brings, as re-threading'),
  kind: z.enum(['stop', 'hand']),
  mark: Mark.nullable(),
  title: z.string(),
  detail: z.string(),
  note: z.string(),
  op: Operation.nullable(),
  stop: PlanStop.nullable(),
  thread: Thread.nullable().describe('thread that is, or is put, on the needle'),
  needle: z.number().int().nullable(),
  hoop: HoopState,
  hands: Estimate,
  running: Estimate.describe('needle time'),
  waiting: Estimate,
  parts: z.array(z.object({ key: z.string(), times: z.number(), seconds: z.number() })),
  caution: z.string().nullable()
});
export type PlanStep = z.infer<typeof PlanStep>;

/** What the item’s making or the setup left to say, in the words of the day it was planned. */
export const PlanWarning = z.object({
  code: z.string(),
  severity: z.enum(['stop', 'warn', 'note']),
  stepId: z.string().nullable(),
  text: z.string()
});
export type PlanWarning = z.infer<typeof PlanWarning>;

const ThreadUse = z.object({
  thread: Thread,
  upperMetres: z.number(),
  bobbinMetres: z.number().default(0).describe('that its stops take from the bobbin, m'),
  stops: z.number().int()
});

/** Everything computed from an item, a setup and a shop. A screen shows it and computes nothing. */
export const Plan = versioned(
  PLAN_HISTORY,
  z.object({
    schema: z.literal('jolt-step/plan'),
    version: versionField(PLAN_HISTORY),
    itemId: z.string(),
    itemName: z.string(),
    variant: z.object({ id: z.string(), name: z.string() }),
    unit: z.enum(['mm', 'in']),
    finished: z.object({ width: z.number(), height: z.number() }),
    copies: z.number().int().describe('copies the cut list counts; times and threads are of one'),
    machine: z.object({ id: z.string(), name: z.string(), needles: z.number().int(), setSpm: z.number() }),
    hoop: z.object({
      id: z.string(),
      name: z.string(),
      field: z.object({ width: z.number(), height: z.number() }),
      ring: z.object({ width: z.number(), height: z.number() }),
      turned: z
        .boolean()
        .optional()
        .describe('the design is turned a quarter, so field and ring are told as they lie under it')
    }),
    steps: z.array(PlanStep),
    totals: z.object({ hands: Estimate, needle: Estimate, waiting: Estimate }),
    stitches: z.number().int(),
    upperMetres: z.number(),
    bobbinMetres: z.number(),
    bobbin: BobbinKind.default({ id: 'wound-40', name: 'Self-wound, 40 wt', metres: 40 }),
    bobbinOn: BobbinOn.optional().describe('in the machine before the start; a full one where missing'),
    threads: z.array(ThreadUse),
    cuts: z.array(CutPiece),
    warnings: z.array(PlanWarning)
  })
);
export type Plan = z.infer<typeof Plan>;
