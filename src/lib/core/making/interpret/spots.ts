import type { SheetReading } from '$lib/core/reading/sheets';

/** The place of a small piece inside the outline: a box, mm from the middle. */
export interface Spot {
  id: string;
  piece: string;
  x: number;
  width: number;
  height: number;
}

/** A piece smaller than this share of the outline both ways lies on a place of its own. */
const SMALL = 0.8;
/** Mm by which a cut is larger than the place it covers, in all. */
const CUT_OVER = 16;
const APART = 4;

/**
 * Places of small pieces, side by side: no sheet says where its drawing has them.
 *
 * @param placed whether a piece has its place already, at a seam or at the edge
 */
export function spotsOf(
  { pieces, actions }: Pick<SheetReading, 'pieces' | 'actions'>,
  outline: { width: number; height: number },
  placed: (name: string) => boolean
): Spot[] {
  const small = pieces.filter(
    ({ name, cut, role }) =>
      role === null &&
      cut?.heightMm != null &&
      cut.widthMm < SMALL * outline.width &&
      cut.heightMm < SMALL * outline.height &&
      !placed(name) &&
      actions.some(({ action, piece }) => action === 'lay' && piece === name)
  );
  const room = outline.width / Math.max(1, small.length);
  return small.map(({ name, cut }, at) => ({
    id: `place-${at + 1}`,
    piece: name,
    x: (at - (small.length - 1) / 2) * room,
    width: Math.max(5, Math.min((cut?.widthMm ?? 30) - CUT_OVER, room - APART)),
    height: Math.max(5, (cut?.heightMm ?? 30) - CUT_OVER)
  }));
}
