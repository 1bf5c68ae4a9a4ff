import type { SheetReading } from '$lib/core/reading/sheets';

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
  const actions = sheet.actions.map((action) => {
    const { piece, action: what, after } = action;
    const own = piece === null ? undefined : several.get(piece);
    if (!own || piece === null) return action;
    if (what === 'lay' || what === 'insert-ribbon') {
      // Laid again after a stop it is the next one; “both” are laid at once.
      const before = laid.get(piece) ?? 0;
      if (before === 0 || (lastAt.get(piece) ?? -1) < after) laid.set(piece, Math.min(own.count, before + 1));
      lastAt.set(piece, after);
    }
    const nth = laid.get(piece) ?? 0;
    if (nth < 2) return action;
    const name = `${piece} ${nth}`;
    copies.set(name, { ...own, name, count: 1 });
    return { ...action, piece: name };
  });
  return { ...sheet, actions, pieces: [...sheet.pieces, ...copies.values()] };
}
