import type { Hold, Material, Piece } from '$lib/core/documents/item';
import type { Site } from './site';

/** A piece as a sentence names it. @example saidName({ name: 'LOWER FRONT' }) // 'Lower front' */
export const saidName = ({ name }: Pick<Piece, 'name'>): string =>
  name.charAt(0) + name.slice(1).toLowerCase();

/** A piece of cloth, whatever it is, and how it lies in the hoop. */
interface Lying {
  /** Its part of the block’s names, and that of the step that lays it. */
  part: string;
  step?: string;
  label: string;
  cloth: Material;
  use: Piece['use'];
  /** The line it covers. */
  area: string;
  side: 'above' | 'below';
  face: 'up' | 'down';
  hold: Hold;
  /** How far it reaches over its line, mm. */
  over?: number;
  note?: string | undefined;
  more?: Partial<Omit<Piece, 'id' | 'name' | 'material' | 'use' | 'covers'>>;
}

/**
 * Lays a piece on or under the work: the one way every block puts cloth into the sandwich.
 *
 * @returns the id of the piece
 */
export function layPiece(site: Site, lying: Lying): string {
  const { part, step = 'lay', label, cloth, use, area, side, face, hold, over = 0, note, more = {} } = lying;
  const piece = site.piece(part, label, cloth, use, { covers: area, ...more });
  if (side === 'below') site.toBack();
  else {
    site.toTable();
    // Nobody reaches what it covers.
    site.snipJumps('front', `-${step}`);
  }
  const laid = site.hand(
    step,
    { do: 'lay', pieceId: piece, side, face, covers: area, over, hold },
    note === undefined ? {} : { note }
  );
  site.s.must(laid);
  return piece;
}
