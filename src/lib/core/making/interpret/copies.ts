import type { Face } from '$lib/core/documents/item';
import type { SheetReading } from '$lib/core/reading/sheets';

/** What is done to a piece before it is laid. */
const AHEAD: ReadonlySet<string> = new Set(['spray', 'fold', 'press', 'glue', 'fuse']);
const OTHER = /\b(?:other|second|another|next|remaining)\b/i;
const TOGETHER = /\bsides? together\b|\b[RW]ST\b/i;

function opposite(face: Face | null): Face | null {
  return face === null ? null : face === 'up' ? 'down' : 'up';
}

/**
 * The sheet with each of several equal pieces as a piece of its own: of two squares of felt the second one laid is another.
 *
 * @example
 * withCopies(sheetOfTwoFelts).actions.filter(({ action }) => action === 'lay').map(({ piece }) => piece) // ['felt', 'felt 2']
 */
export function withCopies(sheet: SheetReading): SheetReading {
  const several = new Map(
    sheet.pieces.filter(({ count, role }) => count > 1 && role === null).map((piece) => [piece.name, piece])
  );
  if (several.size === 0) return sheet;
  const laid = new Map<string, number>();
  const copies = new Map<string, SheetReading['pieces'][number]>();
  const lastAt = new Map<string, number>();
  const actions = sheet.actions.flatMap((action) => {
    const { piece, action: what, after } = action;
    const own = piece === null ? undefined : several.get(piece);
    if (!own || piece === null) return action;
    if (what === 'lay' || what === 'insert-ribbon') {
      // Laid again after a stop it is the next one; “both” are laid at once.
      const before = laid.get(piece) ?? 0;
      if (before === 0 || (lastAt.get(piece) ?? -1) < after) laid.set(piece, Math.min(own.count, before + 1));
      lastAt.set(piece, after);
    }
    const called = (nth: number): string => {
      if (nth < 2) return piece;
      const name = `${piece} ${nth}`;
      copies.set(name, { ...own, name, count: 1 });
      return name;
    };
    const isNext = AHEAD.has(what) && OTHER.test(action.text);
    const nth = Math.min(own.count, (laid.get(piece) ?? 0) + (isNext ? 1 : 0));
    const isPair =
      own.count === 2 && nth === 1 && /\b(?:both|two)\b/i.test(action.text) && TOGETHER.test(action.text);
    if (what !== 'lay' || !isPair) return [{ ...action, piece: called(nth) }];
    // Of two with their sides together the first lies the other way up.
    laid.set(piece, 2);
    const { face, faceFromAbove } = action;
    return [
      { ...action, face: opposite(face), faceFromAbove: opposite(faceFromAbove) },
      { ...action, piece: called(2) }
    ];
  });
  return { ...sheet, actions, pieces: [...sheet.pieces, ...copies.values()] };
}
