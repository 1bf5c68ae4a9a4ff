import { z } from 'zod';

const Wall = z.string().max(40);
const Text = z.string().max(300);

/** A week as it was planned last, small enough to keep: what hands do next, and what each order was told. */
export const KeptWeek = z.object({
  at: Wall.describe('wall time the plan begins'),
  orders: z
    .array(
      z.object({
        id: Text,
        name: Text,
        pieces: z.number().int().min(0).describe('ordered in all'),
        left: z.number().int().min(0).describe('copies still to be stitched'),
        goes: z.enum(['first', 'last']).optional(),
        due: Wall.nullable(),
        finish: Wall
      })
    )
    .max(1000),
  room: z.object({
    hours: Text,
    people: z.number().int(),
    daysOff: z.array(Wall).max(400),
    otherHours: z.array(Text).max(400),
    away: z.array(Text).max(100)
  }),
  tasks: z
    .array(
      z.object({
        title: Text,
        from: Wall,
        to: Wall,
        orderId: Text.nullable(),
        runId: Text.nullable().default(null).describe('of a hooping that is under way'),
        place: Text,
        atMachine: z.boolean().default(true).describe('not while its machine stitches something else')
      })
    )
    .max(200),
  hoopings: z
    .array(
      z.object({
        orderId: Text,
        name: Text,
        copies: z.number().int().min(0),
        machine: Text,
        from: Wall,
        to: Wall
      })
    )
    .max(2000)
});
export type KeptWeek = z.infer<typeof KeptWeek>;
