import type { SheetReading } from '$lib/core/reading/sheets';

type SheetPiece = SheetReading['pieces'][number];

/** The place of a small piece inside the outline: a box, mm from the middle. */
export interface Spot {
  id: string;
  piece: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** Pieces that lie apart although each is as large as the outline: beside each other or below each other. */
export interface Apart {
  pieces: ReadonlySet<string>;
  by: 'row' | 'column';
}
export const NOT_APART: Apart = { pieces: new Set(), by: 'row' };

/** A piece smaller than this share of the outline both ways lies on a place of its own. */
const SMALL = 0.8;
/** Mm by which a cut is larger than the place it covers, in all. */
const CUT_OVER = 16;
const APART = 4;

/** Leaves of a book lie on each other. */
const LEAF = /\b(?:pages?|leaf|leaves)\b/i;

/**
 * Places of small pieces, side by side: no sheet says where its drawing has them.
 *
 * @param placed whether a piece has its place already, at a seam or at the edge
 */
export function spotsOf(
  { pieces, actions }: Pick<SheetReading, 'pieces' | 'actions'>,
  outline: { width: number; height: number },
  placed: (name: string) => boolean,
  apart: Apart = NOT_APART
): Spot[] {
  const isSmall = ({ name, cut }: SheetPiece): boolean => {
    const share = LEAF.test(name) ? 1 : SMALL;
    return (
      cut?.heightMm != null && cut.widthMm < share * outline.width && cut.heightMm < share * outline.height
    );
  };
  const own = pieces.filter(
    (piece) =>
      piece.role === null &&
      (apart.pieces.has(piece.name) || isSmall(piece)) &&
      !placed(piece.name) &&
      actions.some(({ action, piece: laid }) => action === 'lay' && laid === piece.name)
  );
  const beside = own.filter(({ name }) => !LEAF.test(name));
  const widthOf = ({ cut }: SheetPiece): number => (cut?.widthMm ?? outline.width + CUT_OVER) - CUT_OVER;
  const heightOf = ({ cut }: SheetPiece): number => (cut?.heightMm ?? outline.height + CUT_OVER) - CUT_OVER;
  // What is as large as the outline lies beside it; small pieces share its width.
  const large = beside.filter(({ name }) => apart.pieces.has(name));
  const isColumn = large.length > 0 && apart.by === 'column';
  const room = isColumn
    ? Math.max(...large.map((piece) => heightOf(piece) + CUT_OVER + APART))
    : Math.max(
        outline.width / Math.max(1, beside.length),
        ...large.map((piece) => widthOf(piece) + CUT_OVER + APART)
      );
  const placeOf = (piece: SheetPiece): number =>
    LEAF.test(piece.name) ? 0 : (beside.indexOf(piece) - (beside.length - 1) / 2) * room;
  return own.map((piece, at) => ({
    id: `place-${at + 1}`,
    piece: piece.name,
    x: isColumn ? 0 : placeOf(piece),
    y: isColumn ? placeOf(piece) : 0,
    width: Math.max(5, isColumn ? widthOf(piece) : Math.min(widthOf(piece), room - APART)),
    height: Math.max(5, heightOf(piece))
  }));
}
