import { z } from 'zod';
import { Material } from '$lib/core/documents/item';

/** A share of a cut size, with what it is there for. */
export const SizePart = z.object({
  what: z.enum(['covers', 'margin', 'seam', 'fold', 'taken-up', 'shrinkage', 'rounding', 'own']),
  width: z.number(),
  height: z.number()
});

export type SizePart = z.infer<typeof SizePart>;

const Size = z.object({ width: z.number(), height: z.number() });

/** One line of the cut list; lengths in mm. */
export const CutPiece = z.object({
  pieceId: z.string(),
  name: z.string(),
  material: Material,
  count: z.number().int(),
  covers: Size.describe('what the piece must cover: a line of the item, or the ring'),
  coversName: z.string(),
  margin: z.number().describe('added on each side'),
  exact: Size.describe('covered size, margins, seam and fold, before rounding'),
  cut: Size.describe('what to cut'),
  parts: z.array(SizePart).default([]).describe('why it is that large; adds up to `cut`'),
  grain: z.enum(['fixed', 'either-way', 'any']).default('any'),
  overridden: z.boolean().describe('the maker has set a size or margin'),
  cutFrom: z
    .string()
    .nullable()
    .default(null)
    .describe('name of the piece it is cut from in an earlier hooping'),
  readyMade: z.boolean().optional().describe('bought finished: it is counted, not cut'),
  backs: z.string().optional().describe('piece it is fused to before that is used'),
  offset: z
    .object({ x: z.number(), y: z.number() })
    .optional()
    .describe('where its middle lies from the middle of the design, mm')
});

export type CutPiece = z.infer<typeof CutPiece>;
