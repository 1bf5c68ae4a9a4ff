import { z } from 'zod';

/** A kind of bobbin, and how much a full one holds. */
export const BobbinKind = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(80),
  metres: z.number().min(1).max(1000).describe('on a full one, m')
});
export type BobbinKind = z.infer<typeof BobbinKind>;

/** Kinds of bobbin and what they usually hold. */
export const BOBBIN_KINDS: readonly BobbinKind[] = [
  { id: 'wound-40', name: 'Self-wound, 40 wt', metres: 40 },
  { id: 'wound-60', name: 'Self-wound, 60 wt', metres: 60 },
  { id: 'pre-small', name: 'Pre-wound, small', metres: 110 },
  { id: 'pre-large', name: 'Pre-wound, large', metres: 200 }
];

/** A spool of the maker’s own, as it stood when it was chosen. */
export const Spool = z.object({
  entryId: z.string().min(1).max(120).describe('its line of the stash'),
  name: z.string().min(1).max(80),
  colour: z.string().regex(/^#[0-9a-f]{6}$/)
});
export type Spool = z.infer<typeof Spool>;

/** The bobbin in the machine before the start. */
export const BobbinOn = z.object({
  threadId: z.string().max(120).describe('the thread of the item it is wound with; empty for the usual one'),
  metres: z.number().min(0).max(1000)
});
export type BobbinOn = z.infer<typeof BobbinOn>;

/**
 * The kind of bobbin a setup uses: the one it names, or the first of the shop.
 *
 * @example
 * bobbinKindOf(shop, setup).metres // 40
 */
export function bobbinKindOf(
  shop: { bobbins: readonly BobbinKind[] },
  setup: { bobbinKind?: string | undefined }
): BobbinKind {
  const kinds = shop.bobbins.length > 0 ? shop.bobbins : BOBBIN_KINDS;
  const kind = kinds.find(({ id }) => id === setup.bobbinKind) ?? kinds[0];
  if (!kind) throw new RangeError('There is no kind of bobbin.');
  return kind;
}
