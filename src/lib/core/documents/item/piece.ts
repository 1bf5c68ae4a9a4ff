import { z } from 'zod';
import { Material } from './material';
import { Id, Mm, Variants } from './parts';

/** What a piece is for; its cutting margin follows from that. */
export const PIECE_USES = [
  'hooped',
  'applique',
  'backing',
  'batting',
  'flipped',
  'zip-tape',
  'adhesive'
] as const;
export const PieceUse = z.enum(PIECE_USES);
export type PieceUse = z.infer<typeof PieceUse>;

/** A cloth that is folded once, right sides together, and sewn up round the three other sides; mm. */
export const SewnUp = z.object({
  width: Mm.describe('finished, across'),
  height: Mm.describe('finished, upright'),
  seam: Mm.describe('seam allowance'),
  fold: z
    .enum(['top', 'bottom', 'left', 'right'])
    .describe('side of the stitched half on which the fold lies')
});
export type SewnUp = z.infer<typeof SewnUp>;

/** A thing bought finished, and where the middle of the design lies from its own middle; mm. */
const ReadyMade = z.object({
  width: Mm,
  height: Mm,
  right: z.number().min(-5000).max(5000).default(0),
  towards: z.number().min(-5000).max(5000).default(0),
  hem: Mm.optional().describe('how far its hems and seams reach in from its edges: it is thick there')
});

export const Piece = z.object({
  id: Id,
  name: z.string().min(1).max(60),
  material: Material,
  plies: z.number().int().min(1).max(20).default(1),
  use: PieceUse,
  covers: Id.nullable().describe('the line it must cover; null for hooped material, which follows the ring'),
  shows: z.enum(['front', 'back', 'lining', 'nothing']),
  shape: z.enum(['rough', 'pre-cut']).default('rough'),
  grain: z.enum(['fixed', 'either-way', 'any']).default('any'),
  folded: z.boolean().default(false).describe('lies folded in half, right side out on both faces'),
  foldAt: z
    .enum(['top', 'bottom', 'left', 'right'])
    .optional()
    .describe('side on which the fold lies of what is folded in half: it is cut double across it'),
  takenUp: z
    .object({ along: z.enum(['width', 'height']), times: z.number().min(1).max(60) })
    .optional()
    .describe('gathered, pleated or rolled up to what it covers: it is cut so many times as long'),
  turnedUnder: z
    .object({ width: Mm, height: Mm })
    .optional()
    .describe('hems and casings, made before it is laid: it is cut so much wider and higher than it lies'),
  seenLater: z
    .boolean()
    .optional()
    .describe('sewn to something else outside the hoop, where it is decided what is seen of it'),
  hangs: z
    .enum(['top', 'bottom', 'left', 'right'])
    .optional()
    .describe('caught at this side of the item only, from which it hangs once the item is turned'),
  foldedTo: z
    .object({ width: Mm, height: Mm })
    .optional()
    .describe('size it has once it is folded, before it is laid; it is cut whole'),
  bound: z
    .boolean()
    .optional()
    .describe('its edges are finished, as those of a ribbon, elastic or a sewn strap'),
  loose: z.boolean().default(false).describe('keeps loose edges that a foot can catch'),
  template: z
    .object({ wrongSideUp: z.boolean(), mirrored: z.boolean() })
    .optional()
    .describe('how a pre-cut shape was cut: wrong side up it must be mirrored'),
  backed: z
    .array(Material)
    .max(4)
    .optional()
    .describe('fused to its wrong side before it is used and cut alike: interfacing, fusible web, soft mesh'),
  readyMade: ReadyMade.optional().describe('bought finished: it is counted, not cut'),
  sewnUp: SewnUp.optional().describe('folded once and seamed afterwards, so that its size follows from that'),
  overrides: z.object({ margin: Mm.optional(), width: Mm.optional(), height: Mm.optional() }).default({}),
  from: Id.optional().describe('piece it is cut from in an earlier hooping, so that nothing new is cut'),
  only: Variants
});
export type Piece = z.infer<typeof Piece>;
