import { z } from 'zod';

/** The three kinds of time; they are never added into one number. */
export const TIME_KINDS = ['hands', 'needle', 'waiting'] as const;

export type TimeKind = (typeof TIME_KINDS)[number];

/** A time in seconds with the range it lies in four times in five. */
export const Estimate = z.object({
  kind: z.enum(TIME_KINDS),
  value: z.number().min(0),
  low: z.number().min(0),
  high: z.number().min(0),
  source: z.string().describe('what the estimate rests on'),
  samples: z.number().int().min(0).describe('logged steps behind it')
});

export type Estimate = z.infer<typeof Estimate>;
