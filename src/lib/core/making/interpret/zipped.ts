import type { SheetReading } from '$lib/core/reading/sheets';
import { materialOf } from './matter';
import type { Spot } from './spots';

/** Width of a zip with its tapes, and half of what stays between the seams at it, mm. */
const TAPES = 25;
const HALF = 9;
/** Mm that a flipped piece is cut larger than what it covers, at its seam and at its edge. */
export const FOLD_OVER = 21;
/** Seams at a zip lie no nearer and no farther apart, mm. */
const BETWEEN = { least: 10, most: 60 };

/** Where a zip lies across an item, and the seams on both sides of it by the stop that sews them. */
export interface Zipped {
  zip: Spot;
  seams: ReadonlyMap<number, { y: number; down: boolean }>;
}

/**
 * A zip with cloth flipped away from it on both sides: no sheet says where its drawing has it, the cut sizes do.
 *
 * @example
 * zippedIn(sheet, { width: 178, height: 128 })?.zip.y // -20
 */
export function zippedIn(
  { pieces, actions }: Pick<SheetReading, 'pieces' | 'actions'>,
  { width, height }: { width: number; height: number }
): Zipped | undefined {
  const zip = pieces.find((piece, at) => /zip$/.test(materialOf(piece, at).kind));
  const flips = actions.filter(({ action, piece }) => action === 'flip' && piece !== null);
  const [first, second, ...more] = [...new Set(flips.map(({ after }) => after))];
  if (!zip || first === undefined || second === undefined || more.length > 0) return undefined;
  const saysLower = (after: number): boolean =>
    flips.some(
      ({ after: own, piece, text }) =>
        own === after && /\b(?:down|towards you|lower|bottom)\b/i.test(`${text} ${piece ?? ''}`)
    );
  const [up, down] = saysLower(first) && !saysLower(second) ? [second, first] : [first, second];
  const reachOf = (after: number): number | undefined => {
    const names = flips.filter((flip) => flip.after === after).map(({ piece }) => piece);
    const cut = pieces.find(({ name, cut: own }) => names.includes(name) && own?.heightMm != null)?.cut;
    return cut?.heightMm == null ? undefined : cut.heightMm - FOLD_OVER;
  };
  const [upper, lower] = [reachOf(up), reachOf(down)];
  const byCut =
    upper !== undefined && lower !== undefined ? [-height / 2 + upper, height / 2 - lower] : undefined;
  const apart = byCut ? (byCut[1] ?? 0) - (byCut[0] ?? 0) : 0;
  const middle = byCut
    ? ((byCut[0] ?? 0) + (byCut[1] ?? 0)) / 2
    : upper === undefined
      ? 0
      : -height / 2 + upper + HALF;
  const half = apart >= BETWEEN.least && apart <= BETWEEN.most ? apart / 2 : HALF;
  return {
    zip: { id: 'place-zip', piece: zip.name, x: 0, y: middle, width, height: TAPES },
    seams: new Map([
      [up, { y: middle - half, down: false }],
      [down, { y: middle + half, down: true }]
    ])
  };
}
