import { z } from 'zod';
import type { Path } from '$lib/core/geometry';

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

/** What one copy takes up in the hoop. */
export interface Outline {
  /** Outermost stitching, about its own middle. */
  path: Path;
  width: number;
  height: number;
  /** The middle of the stitching as the item’s own lines have it. */
  middle: { x: number; y: number };
  /** How far pieces that are laid reach beyond the stitching, mm. */
  reach: number;
}

/** The part of a field that every needle of the job reaches, mm from the middle of the field. */
export interface Area {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}
