import { z } from 'zod';

/**
 * What an item is made of, in the order of the work: a block of the table with its answers, or a part of the item’s own
 * construction, by its id.
 */
export const Block = z.object({
  id: z.string().min(1).max(60),
  kind: z.string().min(1).max(40).describe('a block of the table, or `part` of the construction'),
  name: z.string().max(60).optional().describe('what the maker calls it'),
  answers: z.record(z.string(), z.unknown()).default({})
});
export type Block = z.infer<typeof Block>;
