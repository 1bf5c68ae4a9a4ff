import { z } from 'zod';

const MinuteOfDay = z.number().int().min(0).max(1440);
/** A day and a time as they stand on the wall of the workroom. */
const WallTime = z.iso.datetime({ local: true, error: 'give a day and a time' });
const Day = z.iso.date('give a day');

/** When hands are at the bench. */
export const Bench = z.object({
  from: MinuteOfDay,
  to: MinuteOfDay,
  breaks: z.array(z.object({ from: MinuteOfDay, to: MinuteOfDay })).max(8),
  days: z.array(z.number().int().min(0).max(6)).min(1).describe('days of the week, Sunday is 0')
});
export type Bench = z.infer<typeof Bench>;

export const DEFAULT_BENCH: Bench = {
  from: 540,
  to: 1080,
  breaks: [{ from: 750, to: 795 }],
  days: [1, 2, 3, 4, 5, 6]
};

/** When the workroom is open, beside the hours of a single order, and which machines are away. */
export const Workroom = z
  .object({
    bench: Bench.optional().describe('hours of the week; those of the first open order where missing'),
    people: z.number().int().min(1).max(8).optional(),
    daysOff: z.array(Day).max(400).default([]),
    otherHours: z
      .array(z.object({ day: Day, from: MinuteOfDay, to: MinuteOfDay }))
      .max(400)
      .default([])
      .describe('hours of single days'),
    away: z
      .array(z.object({ machineId: z.string().min(1).max(120), from: WallTime, to: WallTime }))
      .max(100)
      .default([])
      .describe('machines that are away, as for repair')
  })
  .superRefine(({ otherHours, away }, context) => {
    otherHours.forEach(({ from, to }, at) => {
      if (to <= from)
        context.addIssue({
          code: 'custom',
          path: ['otherHours', at, 'to'],
          message: 'the day ends before it begins'
        });
    });
    away.forEach(({ from, to }, at) => {
      if (to <= from)
        context.addIssue({
          code: 'custom',
          path: ['away', at, 'to'],
          message: 'the machine is back before it goes'
        });
    });
  });
export type Workroom = z.infer<typeof Workroom>;
