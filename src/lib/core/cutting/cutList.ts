import { z } from 'zod';
import { extents } from '$lib/core/geometry';
import { findLine, Material, type Item, type Piece, type PieceUse } from '$lib/core/item';
import type { Hoop } from '$lib/core/shop';
import { roundUpForCutting, type CutRounding } from '$lib/core/units';

const Size = z.object({ width: z.number(), height: z.number() });

/** One line of the cut list; lengths in mm. */
export const CutPiece = z.object({
  pieceId: z.string(),
  name: z.string(),
  material: Material,
  count: z.number().int(),
  covers: Size.describe('what the piece must cover: a line of the item, or the ring'),
  coversName: z.string(),
  margin: z.number().describe('added on each side'),
  exact: Size.describe('covered size and margins, before rounding'),
  cut: Size.describe('what to cut'),
  overridden: z.boolean().describe('the maker has set a size or margin'),
  cutFrom: z.string().nullable().describe('name of the piece it is cut from in an earlier hooping')
});
export type CutPiece = z.infer<typeof CutPiece>;

/** Margin on each side by use, mm. Zip tape goes 25 beyond its ends so that the slider lies outside. */
export const MARGIN_MM: Record<PieceUse, number> = {
  hooped: 25,
  applique: 12,
  batting: 12,
  backing: 20,
  flipped: 12,
  'zip-tape': 25,
  adhesive: 10
};

/**
 * What to cut for an item: the extents of what each piece covers, its margin on each side, rounded up to
 * the maker’s ruler. Hooped material follows the outer size of the ring.
 *
 * @param copies how many of the item are made
 * @returns one line a piece, in the item’s order; a piece that covers a line the item lacks is left out
 *
 * @example
 * cutList(tab, hoop, '5mm', 1)[1]?.cut // { width: 55, height: 120 } for the front of a 30 × 94 mm tab
 */
export function cutList(item: Item, hoop: Hoop, rounding: CutRounding, copies: number): CutPiece[] {
  return item.pieces.flatMap((piece) => {
    const covered = coveredBy(piece, item, hoop);
    if (!covered) return [];
    const preCut = piece.shape === 'pre-cut' && piece.covers !== null;
    const margin = piece.overrides.margin ?? (preCut ? 0 : MARGIN_MM[piece.use]);
    // A zip is as wide as its tape; only its ends reach further.
    const across = piece.use === 'zip-tape' ? 0 : margin;
    const lengthwise = covered.size.width >= covered.size.height;
    const exact = {
      width: covered.size.width + 2 * (lengthwise ? margin : across),
      height: covered.size.height + 2 * (lengthwise ? across : margin)
    };
    const rounded = (mm: number): number => (preCut ? mm : roundUpForCutting(mm, rounding));
    const cut = {
      width: piece.overrides.width ?? rounded(exact.width),
      height: piece.overrides.height ?? rounded(exact.height)
    };
    return {
      pieceId: piece.id,
      name: piece.name,
      material: piece.material,
      count: piece.plies * copies,
      covers: covered.size,
      coversName: covered.name,
      margin,
      exact,
      cut,
      overridden: Object.keys(piece.overrides).length > 0,
      cutFrom: item.pieces.find(({ id }) => id === piece.from)?.name ?? null
    };
  });
}

function coveredBy(
  piece: Piece,
  item: Item,
  hoop: Hoop
): { name: string; size: { width: number; height: number } } | undefined {
  if (piece.covers === null) return { name: 'Ring, outer size', size: hoop.ring };
  const line = findLine(item, piece.covers);
  if (!line) return undefined;
  const { width, height } = extents(line.path);
  return { name: line.name, size: { width, height } };
}
