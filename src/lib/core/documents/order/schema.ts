import { z } from 'zod';
import { versioned, versionField, type VersionHistory, versionOf } from '$lib/core/documents/versions';
import { Way } from '$lib/core/documents/run';
import { Bench, DEFAULT_BENCH } from '$lib/core/documents/shop';
import { Placement } from './placement';

/** Versions of an order. */
export const ORDER_HISTORY: VersionHistory = { kind: 'order', lifts: [] };
export const ORDER_VERSION = versionOf(ORDER_HISTORY);

const Id = z.string().min(1).max(120);
const Mm = z.number().min(0).max(5000);
/** A day and a time as they stand on the wall of the workroom. */
const WallTime = z.iso.datetime({ local: true, error: 'give a day and a time' });
const Money = z.number('give an amount').min(0, 'not below 0').max(1_000_000);

/** Where one item repeats on something larger than a hoop. */
export const Repeats = z.discriminatedUnion('of', [
  z.object({
    of: z.literal('border'),
    length: z.number().min(10).max(20_000).describe('of the hem, mm'),
    sides: z.number().int().min(1).max(12).default(1).describe('sides between corners')
  }),
  z.object({ of: z.literal('corners'), corners: z.number().int().min(1).max(8).default(4) })
]);
export type Repeats = z.infer<typeof Repeats>;

export const OrderLine = z.object({
  id: Id,
  itemId: Id,
  variantId: Id.optional().describe('the one its item is set up for where missing'),
  quantity: z
    .number('give a number')
    .int('give a whole number')
    .min(1, 'at least one')
    .max(5000, 'at most 5,000'),
  perFile: z
    .number()
    .int()
    .min(1)
    .max(100)
    .default(1)
    .describe('finished pieces that one stitching of the file gives'),
  names: z.array(z.string().max(60)).max(5000).default([]).describe('personal names, copy by copy'),
  machineIds: z.array(Id).max(50).default([]).describe('only on these; on any of the order where empty'),
  hoopId: Id.optional().describe('only in this hoop; the best where missing'),
  gap: Mm.max(200).optional().describe('free space between two copies, mm; 20 where missing'),
  turned: z.boolean().default(true).describe('copies may be turned, as where the ground has no direction'),
  most: z.number().int().min(1).max(200).optional().describe('the most copies in one hoop'),
  way: Way.optional().describe('order of the stops in a hoop of several; the quickest where missing'),
  alone: z.boolean().optional().describe('no other item shares a hoop with it'),
  repeats: Repeats.optional(),
  placed: z
    .record(z.string(), z.array(Placement).max(200))
    .default({})
    .describe('copies the maker has moved, by hoop, hooping and number of copies'),
  price: Money.nullable().default(null).describe('quoted for one piece; null until quoted'),
  spoiled: z.number().int().min(0).max(5000).default(0).describe('pieces that came out bad so far')
});
export type OrderLine = z.infer<typeof OrderLine>;

/** What an hour and everything else costs; each is the maker’s own to say. */
export const Rates = z.object({
  currency: z.string().trim().max(6),
  handsHour: Money.describe('an hour of hands'),
  machineHour: Money.describe('an hour of a machine'),
  threadKm: Money.describe('a thousand metres of thread, where the stash has no price'),
  clothM2: Money.describe('a square metre of material, where neither stash nor shop has a price'),
  overhead: z.number().min(0).max(500).describe('on everything, %'),
  margin: z.number().min(0).max(500).describe('on the cost, %')
});
export type Rates = z.infer<typeof Rates>;

export const DEFAULT_RATES: Rates = {
  currency: '',
  handsHour: 15,
  machineHour: 2,
  threadKm: 6,
  clothM2: 8,
  overhead: 10,
  margin: 25
};

/** What a quote says beside its prices, and what the customer answered. */
export const Terms = z.object({
  validUntil: z.iso.date().nullable().default(null),
  deposit: z
    .number()
    .min(0, 'not below 0')
    .max(100, 'at most all of it')
    .default(0)
    .describe('paid first, %'),
  includes: z.string().max(500).default('').describe('what the price includes, in the maker’s words'),
  answer: z.enum(['open', 'accepted', 'changed', 'declined']).default('open'),
  answeredAt: z.iso.datetime().optional()
});
export type Terms = z.infer<typeof Terms>;

/** How many, by when, on what, at which hours. */
export const Order = versioned(
  ORDER_HISTORY,
  z
    .object({
      schema: z.literal('jolt-step/order'),
      version: versionField(ORDER_HISTORY),
      id: Id,
      name: z.string().trim().min(1, 'give it a name').max(120),
      customer: z.string().max(200).default(''),
      note: z.string().max(5000).default(''),
      createdAt: z.iso.datetime(),
      updatedAt: z.iso.datetime(),
      putAwayAt: z.iso.datetime().optional(),
      lines: z.array(OrderLine).max(60),
      due: WallTime.nullable().default(null),
      from: WallTime.describe('when work may begin, or goes on after a change of plan'),
      spoilage: z.number().min(0).max(0.5).default(0.03).describe('share that comes out bad'),
      goes: z
        .enum(['first', 'last'])
        .optional()
        .describe('before or after all other orders on every machine; by its date where missing'),
      machineIds: z.array(Id).max(50).default([]).describe('every machine of the shop where empty'),
      people: z.number().int().min(1).max(8).default(1),
      bench: Bench.default(DEFAULT_BENCH),
      rates: Rates.default(DEFAULT_RATES),
      terms: Terms.optional().describe('of its quote; none where nothing was said')
    })
    .superRefine((order, context) => {
      const refuse = (path: (string | number)[], message: string): void =>
        context.addIssue({ code: 'custom', path, message });
      if (order.bench.to <= order.bench.from) refuse(['bench', 'to'], 'the bench closes before it opens');
      order.bench.breaks.forEach((each, at) => {
        if (each.to <= each.from) refuse(['bench', 'breaks', at, 'to'], 'a break ends before it begins');
      });
      const ids = order.lines.map(({ id }) => id);
      ids.forEach((id, at) => {
        if (ids.indexOf(id) !== at) refuse(['lines', at, 'id'], 'two lines have one id');
      });
    })
);
export type Order = z.infer<typeof Order>;

/**
 * Pieces to stitch so that enough come out right.
 *
 * @param spoilage share that comes out bad
 *
 * @example
 * piecesToStitch(38, 0.03) // 40
 */
export function piecesToStitch(quantity: number, spoilage: number): number {
  // 100 × 1.03 is 103.00000000000001: a hair more must not be a piece more.
  return Math.ceil(quantity * (1 + spoilage) - 1e-9);
}

/** A new line for an item. */
export function newLine(id: string, itemId: string, quantity = 1): OrderLine {
  return OrderLine.parse({ id, itemId, quantity });
}
