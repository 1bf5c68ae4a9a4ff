import { z } from 'zod';
import { LIMITS } from './limits';

/** A part of a stop with its own speed, as a zigzag pass before the satin. */
export const Phase = z.object({
  stitches: z.number().int().min(0).max(LIMITS.stitchesOfStop),
  length: z
    .number()
    .min(0.1)
    .max(30)
    .optional()
    .describe('mean stitch length, mm; the role’s average where missing'),
  width: z
    .number()
    .min(0)
    .max(30)
    .optional()
    .describe('width of a satin column, or bite of a blanket stitch, mm'),
  stitch: z.enum(['blanket']).optional().describe('how it is stitched, where its role does not say'),
  cap: z
    .number()
    .int()
    .min(50)
    .max(1500)
    .optional()
    .describe('highest speed for this part, stitches a minute'),
  attended: z.boolean().default(false).describe('hands hold something down while the needle runs')
});
export type Phase = z.infer<typeof Phase>;

/** Hundredths of a millimetre. */
const Hundredths = z
  .array(
    z
      .number()
      .int()
      .min(-LIMITS.coordinate * 100)
      .max(LIMITS.coordinate * 100)
  )
  .max(LIMITS.stitchesOfStop);

/** Stitches that came in with a list or a drawing: places in hundredths of a millimetre. */
export const Stitched = z.object({
  from: z.enum(['list', 'drawing']),
  x: Hundredths,
  y: Hundredths,
  jumps: z.array(z.number().int().min(0)).default([]).describe('places reached by a jump'),
  trims: z.array(z.number().int().min(0)).default([]).describe('places after a trim')
});
export type Stitched = z.infer<typeof Stitched>;
