import { z } from 'zod';
import { ClothPhoto } from './picture';

export const HexColour = z.string().regex(/^#[0-9a-f]{6}$/, 'a colour is written #rrggbb');

export const MATERIAL_KINDS = [
  'woven',
  'knit',
  'felt',
  'vinyl',
  'canvas',
  'towelling',
  'fleece',
  'stretch-mesh',
  'batting',
  'tear-away',
  'cutaway',
  'soft-mesh',
  'wash-away-mesh',
  'wash-away-film',
  'sticky-wash-away',
  'fusible',
  'interfacing',
  'heat-adhesive',
  'zip',
  'metal-zip'
] as const;
export const MaterialKind = z.enum(MATERIAL_KINDS);
export type MaterialKind = z.infer<typeof MaterialKind>;

/** Kinds that carry stitches and go again, or stay out of sight. */
export const STABILISERS = [
  'tear-away',
  'cutaway',
  'soft-mesh',
  'wash-away-mesh',
  'wash-away-film',
  'sticky-wash-away'
] as const satisfies readonly MaterialKind[];

/** Whether a kind is a stabiliser. */
export function isStabiliserKind(kind: MaterialKind): boolean {
  return STABILISERS.some((each) => each === kind);
}

/** Stabilisers that leave nothing but the thread once they are rinsed out. */
export const WASHES_OUT: readonly MaterialKind[] = ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'];

/** Kinds whose cut edge frays, so that it is covered, turned under or sealed. */
export const FRAYS: readonly MaterialKind[] = ['woven', 'canvas', 'knit', 'towelling'];

/** Kinds whose pile stitches sink into. */
export const PILE: readonly MaterialKind[] = ['towelling', 'fleece'];

/**
 * Whether stitches sink into a kind, so that a topping helps: pile, and knits, which give way without being pile.
 *
 * @example
 * sinksIn('knit') // true, though a knit has no pile
 */
export function sinksIn(kind: MaterialKind): boolean {
  return kind === 'knit' || PILE.includes(kind);
}

/** Kinds that look the same on both sides. */
const TWO_SIDED: readonly MaterialKind[] = ['felt', 'batting', 'towelling', 'stretch-mesh'];

/**
 * Whether a kind looks the same on both sides, so that no side of it can be the wrong one.
 *
 * @example
 * isTwoSided('felt') // true
 */
export function isTwoSided(kind: MaterialKind): boolean {
  return TWO_SIDED.includes(kind);
}

export const Material = z.object({
  kind: MaterialKind,
  name: z.string().min(1).max(80),
  colour: HexColour,
  photo: ClothPhoto.optional()
});
export type Material = z.infer<typeof Material>;
