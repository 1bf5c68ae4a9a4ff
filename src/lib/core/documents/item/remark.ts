import { z } from 'zod';

const Id = z.string().min(1).max(120);
const Severity = z.enum(['stop', 'warn', 'note']);

/** A finding the maker has answered with “meant so”. It holds for this code, up to this severity. */
export const Answer = z.object({
  code: Id,
  severity: Severity,
  stepId: Id.optional(),
  about: Id.optional().describe('the piece or thread, where a step can show the same of several'),
  reason: z.string().max(500),
  at: z.string()
});
export type Answer = z.infer<typeof Answer>;

/** What the making of the item left to say, as an expected stop that the chart does not have. */
export const Remark = z.object({
  code: Id,
  severity: Severity,
  stepId: Id.optional(),
  values: z
    .record(z.string().max(40), z.union([z.string().max(500), z.number(), z.boolean(), z.null()]))
    .default({})
});
export type Remark = z.infer<typeof Remark>;
