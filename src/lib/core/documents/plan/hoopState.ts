import { z } from 'zod';

/** Where the hoop is while a step is done, and which way round it is held. */
export const HoopState = z.object({
  where: z.enum(['empty', 'off', 'on', 'forward', 'unhooped']),
  turned: z.boolean()
});

export type HoopState = z.infer<typeof HoopState>;

export const HOOP_AT_START: HoopState = { where: 'empty', turned: false };
