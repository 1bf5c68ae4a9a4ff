import { z } from 'zod';
import { MaterialKind } from '$lib/core/documents/item';

/** How the H-shaped lines and satin columns of a test stitch came out. */
export const TENSIONS = ['even', 'bobbin-above', 'loops-above', 'loops-below'] as const;

/** What a test stitch showed. */
export const Trial = z.object({
  id: z.string().min(1).max(120),
  at: z.iso.datetime(),
  itemId: z.string().max(120).nullable().describe('the item it was stitched for; null where for none'),
  kind: MaterialKind,
  cloth: z.string().max(80),
  thread: z.string().max(80),
  tension: z.enum(TENSIONS),
  spacing: z.number().min(0.1).max(2).nullable().describe('distance between rows that covered best, mm'),
  overlap: z.number().min(0).max(5).nullable().describe('how far an edge must reach over the cut edge, mm'),
  cut: z.number().min(0).max(10).nullable().describe('how far the cut strayed from its line, mm')
});
export type Trial = z.infer<typeof Trial>;
