import { z } from 'zod';

/**
 * Straight-cut layouts, in plain rectangles. A cloth is cut into strips right across, a strip into columns, a column into
 * pieces as wide as the column: three levels, every cut from edge to edge. Lengths are millimetres.
 */

const Mm = z.number().min(0).max(100_000);

/** A piece in its place, measured from the corner of its strip. */
const PlacedPiece = z.object({
  key: z.string(),
  x: Mm,
  y: Mm,
  width: Mm,
  height: Mm,
  turned: z.boolean()
});

type PlacedPiece = z.infer<typeof PlacedPiece>;

/** Pieces above each other, each as wide as the column. */
export const Column = z.object({ x: Mm, width: Mm, pieces: z.array(PlacedPiece) });

export type Column = z.infer<typeof Column>;

/** One strip right across the cloth, `y` from the edge the cuts begin at. */
export const Strip = z.object({ y: Mm, height: Mm, columns: z.array(Column) });

export type Strip = z.infer<typeof Strip>;
