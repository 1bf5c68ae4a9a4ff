import { z } from 'zod';

/** The instruction sheet an item was made from: its name, and what it says beside the steps. */
export const SheetOnPaper = z.object({
  name: z.string().max(200),
  unused: z
    .array(z.object({ number: z.string().max(40), text: z.string().max(1000) }))
    .max(500)
    .describe('sentences that ask for nothing, or for what no step does')
});
