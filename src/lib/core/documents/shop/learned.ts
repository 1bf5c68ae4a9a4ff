import { z } from 'zod';

/** What is known of a factor, as a normal of its logarithm: 0 is the default, +0.1 is a tenth more. */
export const Factor = z.object({
  mean: z.number(),
  sd: z.number().min(0),
  samples: z.number().int().min(0).describe('times it was logged')
});
export type Factor = z.infer<typeof Factor>;

/** What runs tell of one person’s hands. */
export const LearnedHands = z.object({
  factors: z.record(z.string(), Factor).describe('by hand time'),
  shared: Factor.describe('of hand times nobody has logged'),
  noise: z.number().min(0).describe('how far one step strays from the next, as a sigma'),
  runs: z.number().int().min(0)
});
export type LearnedHands = z.infer<typeof LearnedHands>;

/** What runs tell of one machine. */
export const LearnedMachine = z.object({
  speed: Factor.describe('time of stitching itself'),
  overhead: Factor.describe('time lost at each stop'),
  trims: Factor,
  runNoise: z.number().min(0).describe('how far one run strays from the next, as a sigma'),
  stopNoise: z.number().min(0),
  runs: z.number().int().min(0)
});
export type LearnedMachine = z.infer<typeof LearnedMachine>;

/** What charted items tell of how densely a house stitches; the whole workroom under an empty name. */
const LearnedCount = z.object({
  house: z.string(),
  kind: z.enum(['edge', 'fill']),
  times: z.number().min(0).describe('stitches for each that the craft’s default reckons with'),
  factor: z.number().min(1).describe('how far the next one may be off, either way, four times in five'),
  items: z.number().int().min(1).describe('charted items it rests on')
});
export type LearnedCount = z.infer<typeof LearnedCount>;

/** What the logged runs tell. It is computed from them whenever it is needed, and kept nowhere. */
export const Learned = z.object({
  people: z.record(z.string(), LearnedHands),
  machines: z.record(z.string(), LearnedMachine),
  runIds: z.array(z.string()),
  counts: z.array(LearnedCount).default([]).describe('from charted items, not from runs')
});
export type Learned = z.infer<typeof Learned>;
