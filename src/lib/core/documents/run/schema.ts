import { z } from 'zod';
import {
  type Lift,
  versioned,
  versionField,
  type VersionHistory,
  versionOf
} from '$lib/core/documents/versions';
import { Item } from '$lib/core/documents/item';
import { Plan } from '$lib/core/documents/plan';
import { Setup } from '$lib/core/documents/shop';

/** Version 2: a run keeps the item it was started with; one of before knows none and takes what is on the shelf. */
const withItem: Lift = (run) => ({ ...run, item: null });

/** Versions of a run: it keeps its item. */
export const RUN_HISTORY: VersionHistory = { kind: 'run', lifts: [withItem] };
export const RUN_VERSION = versionOf(RUN_HISTORY);

/** What goes wrong at the machine and is put right with a guided recovery. */
export const FAULTS = [
  'thread-broke',
  'bobbin-out',
  'nest',
  'wrong-hoop',
  'skipped-stop',
  'wrong-piece'
] as const;
export const Fault = z.enum(FAULTS);
export type Fault = z.infer<typeof Fault>;

/** What can happen at the machine. `thread-broke` and `bobbin-out` by themselves are how runs once told of a fault. */
const RUN_EVENT_TYPES = [
  'prepare',
  'check',
  'uncheck',
  'start',
  'done',
  'back',
  'again',
  'skip',
  'go-to',
  'fault',
  'sorted',
  'bookmark',
  'thread-broke',
  'bobbin-out',
  'mark-stitch',
  'note',
  'pause',
  'resume',
  'follow',
  'away',
  'mend-time',
  'finish',
  'stop-early'
] as const;

/** One thing that happened, never changed once written; (runId, seq) is unique. */
export const RunEvent = z.object({
  runId: z.string().min(1),
  seq: z.number().int().min(1),
  at: z.number().int().min(0).describe('milliseconds since 1970'),
  client: z.string().min(1).describe('the browser tab that wrote it'),
  type: z.enum(RUN_EVENT_TYPES),
  stepId: z.string().nullable().describe('the step that stood on the screen'),
  copy: z.number().int().min(1).default(1),
  stop: z.number().int().nullable().default(null),
  stitch: z.number().int().min(0).nullable().default(null),
  text: z.string().max(2000).default(''),
  fault: Fault.optional().describe('what went wrong'),
  to: z.string().max(200).optional().describe('the step gone to, the check ticked, or the machine followed'),
  clock: z
    .number()
    .int()
    .min(1)
    .optional()
    .describe(
      'one more than the highest its writer had seen: what came after what, whatever any wall clock says'
    ),
  seconds: z
    .number()
    .min(0)
    .max(31_536_000)
    .optional()
    .describe(
      'needle time as the machine counted it, the time away that counts, or the time as it is mended, s'
    ),
  from: z
    .object({ session: z.string().min(1).max(120), seq: z.number().int().min(1) })
    .optional()
    .describe('the event of a machine that this one tells of; each is told of once')
});
export type RunEvent = z.infer<typeof RunEvent>;
export type RunEventType = RunEvent['type'];

/** How the copies in one hoop are stitched. */
export const WAYS = ['copy-by-copy', 'colour-by-colour', 'lines-first'] as const;
export const Way = z.enum(WAYS);
export type Way = z.infer<typeof Way>;

/** A line of an order among several that are stitched in one clamping of a hoop. */
export const HoopShare = z.object({
  lineId: z.string().min(1).max(120),
  itemId: z.string().min(1).max(120),
  copies: z.number().int().min(1).max(500),
  way: Way.optional().describe('the quickest where missing'),
  names: z.array(z.string().max(60)).max(500).default([])
});
export type HoopShare = z.infer<typeof HoopShare>;

/** The hooping of an order that a run stitches. */
const RunOrder = z.object({
  orderId: z.string().min(1).max(120),
  lineId: z.string().min(1).max(120),
  stage: z.number().int().min(0).describe('which clamping of the item, from 0'),
  copies: z.number().int().min(1).max(500),
  heads: z.number().int().min(1).max(500).optional().describe('that stitch together; one where missing'),
  stationId: z.string().min(1).max(200).describe('the machine, or one head of it'),
  hoopId: z.string().min(1).max(120),
  way: Way.optional().describe('the quickest where missing'),
  names: z.array(z.string().max(60)).max(500).default([]),
  shared: z
    .object({
      id: z.string().min(1).max(120).describe('the same for every run of the hoop'),
      at: z.number().int().min(0).max(20).describe('which of the items this run stitches, from 0'),
      parts: z.array(HoopShare).min(2).max(21)
    })
    .optional()
    .describe('items that are stitched in the same clamping, in their order; none where missing')
});
type RunOrder = z.infer<typeof RunOrder>;

/** Thread that a run took off a line of the stash. */
const ThreadSpent = z.object({
  entryId: z.string().min(1).max(120),
  name: z.string().max(200),
  metres: z.number().min(0),
  spools: z.number().int().min(0).default(0).describe('that were emptied')
});
export type ThreadSpent = z.infer<typeof ThreadSpent>;

const RunFields = z.object({
  schema: z.literal('jolt-step/run'),
  version: versionField(RUN_HISTORY),
  id: z.string().min(1),
  itemId: z.string().min(1),
  itemName: z.string(),
  startedAt: z.iso.datetime(),
  finishedAt: z.iso.datetime().nullable(),
  setup: Setup,
  plan: Plan,
  item: Item.nullable().describe('the item as it was when the run started; null where an old run kept none'),
  leftOut: z.boolean().optional().describe('the maker says: nothing is to be learned from it'),
  note: z.string().max(5000).optional(),
  spent: z.array(ThreadSpent).max(500).optional().describe('taken off the stash when it was over'),
  trouble: z
    .array(z.object({ symptom: z.string().max(40), cause: z.string().max(60), at: z.iso.datetime() }))
    .max(20)
    .optional()
    .describe('what went wrong, and the cause the maker settled on'),
  order: RunOrder.optional(),
  events: z.array(RunEvent)
});

/** One making of an item: the item and the plan it followed, and what happened, in order. */
export const Run = versioned(RUN_HISTORY, RunFields);
export type Run = z.infer<typeof Run>;

/** A run without its events, as it is kept beside them. */
export const RunHead = versioned(RUN_HISTORY, RunFields.omit({ events: true }));
export type RunHead = z.infer<typeof RunHead>;
