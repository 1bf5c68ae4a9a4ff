import { z } from 'zod';

/** Quarter turns in which a copy may lie, degrees clockwise from above. */
export const TURNS = [0, 90, 180, 270] as const;

export type Turn = (typeof TURNS)[number];

/** Where the middle of one copy lies in the hoop, mm from the middle of the field. */
export const Placement = z.object({
  part: z.number().int().min(0).max(20).default(0).describe('which of the items in the hoop, from 0'),
  x: z.number().min(-2000).max(2000),
  y: z.number().min(-2000).max(2000),
  turn: z.union(TURNS.map((turn) => z.literal(turn))).default(0),
  mirrored: z.boolean().default(false)
});

export type Placement = z.infer<typeof Placement>;
