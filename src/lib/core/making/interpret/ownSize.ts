import type { Piece } from '$lib/core/documents/item';
import type { SheetReading } from '$lib/core/reading/sheets';

/** Width of a zip with its tapes, of which a list says the length alone, mm. */
const ZIP_TAPES = 32;
/** Height of anything else of which only the length is said, mm. */
const LOW = 10;
/** Width of a ribbon of which no width is said, mm. */
const NARROW = 12;
/** Length of one of which nothing is said, mm. */
const UNSAID_LENGTH = 80;
/** What lies doubled looks alike on both sides. */
export const LOOP = /\b(?:loop|strap|handle)\b/i;

/**
 * The size a sheet gives a piece, mm; what no size is said of and covers nothing is a short ribbon.
 *
 * @example
 * ownSize({ name: 'loop', cut: { widthMm: 100, heightMm: null }, … }, { tied: true, covers: null, zip: false }) // { width: 12, height: 50 }
 */
export function ownSize(
  { name, cut }: Pick<SheetReading['pieces'][number], 'name' | 'cut'>,
  { tied, covers, zip }: { tied: boolean; covers: string | null; zip: boolean }
): Piece['overrides'] {
  if (cut && tied) return { width: NARROW, height: LOOP.test(name) ? cut.widthMm / 2 : cut.widthMm };
  if (cut) return { width: cut.widthMm, height: cut.heightMm ?? (zip ? ZIP_TAPES : LOW) };
  return covers === null ? { width: NARROW, height: UNSAID_LENGTH } : {};
}
