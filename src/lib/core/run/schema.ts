import { z } from 'zod';
import { Plan } from '$lib/core/plan';
import { Setup } from '$lib/core/shop';

export const RUN_VERSION = 1;

/** What can happen at the machine. */
export const RUN_EVENT_TYPES = [
  'start',
  'done',
  'back',
  'again',
  'thread-broke',
  'bobbin-out',
  'mark-stitch',
  'note',
  'pause',
  'resume',
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
  text: z.string().max(2000).default('')
});
export type RunEvent = z.infer<typeof RunEvent>;
export type RunEventType = RunEvent['type'];

/** One making of an item: the plan it followed and what happened, in order. */
export const Run = z.object({
  schema: z.literal('jolt-step/run'),
  version: z.literal(RUN_VERSION),
  id: z.string().min(1),
  itemId: z.string().min(1),
  itemName: z.string(),
  startedAt: z.iso.datetime(),
  finishedAt: z.iso.datetime().nullable(),
  setup: Setup,
  plan: Plan,
  events: z.array(RunEvent)
});
export type Run = z.infer<typeof Run>;

/** A run without its events, as it is kept beside them. */
export const RunHead = Run.omit({ events: true });
export type RunHead = z.infer<typeof RunHead>;
