import type { SheetReading } from '$lib/core/reading/sheets';
import { materialOf } from './matter';

type SheetPiece = SheetReading['pieces'][number];
/** The parts of a sheet by which pieces are placed. */
export type Sheet = Pick<SheetReading, 'pieces' | 'actions' | 'sentences'>;

/** A piece this many times as wide and as high as the outline hangs from it, if it is so many times as large. */
const HANGS = { side: 1.3, area: 3.5 };
const BOUND = /\b(?:ribbon|cord|elastic|strap|webbing|loop|string)\b/i;

/** Whether what is laid now was sprayed right before. */
export function isSprayed(sheet: Sheet, at: number): boolean {
  const laid = sheet.actions[at];
  if (/\b(?:adhesive|spray(?:ed)?|sticky side)\b/i.test(laid?.text ?? '')) return true;
  return sheet.actions.some(
    ({ action, piece, after }, before) =>
      before < at && action === 'spray' && piece !== null && piece === laid?.piece && after === laid.after
  );
}

/** Whether a piece is laid after what is done to it now, before the next stop. */
export function laysNext(sheet: Sheet, at: number): boolean {
  const now = sheet.actions[at];
  return sheet.actions
    .slice(at + 1)
    .some(
      ({ action, piece, after }) =>
        action === 'lay' && piece !== null && piece === now?.piece && after === now.after
    );
}

/** Whether a piece is so much larger than the outline that it can only hang from it, as a towel from its topper. */
export function hangs(sheet: Sheet, size: { width: number; height: number }, name: string): boolean {
  const cut = sheet.pieces.find((each) => each.name === name)?.cut;
  if (cut?.heightMm == null) return false;
  return (
    cut.widthMm > HANGS.side * size.width &&
    cut.heightMm > HANGS.side * size.height &&
    cut.widthMm * cut.heightMm > HANGS.area * size.width * size.height
  );
}

/** The size a piece has once it is folded in half, mm; undefined where it is not. */
export function foldOf(
  sheet: Sheet,
  { name, cut }: SheetPiece
): { width: number; height: number } | undefined {
  const at = sheet.actions.findIndex(({ action, piece }) => action === 'fold' && piece === name);
  const fold = sheet.actions[at];
  const sentence = fold && `${sheet.sentences[fold.sentence]?.text ?? ''} ${fold.text}`;
  if (!fold || sentence === undefined || !/\bhalf\b/i.test(sentence) || cut?.heightMm == null)
    return undefined;
  const laid = sheet.actions.findIndex(({ action, piece }) => action === 'lay' && piece === name);
  if (laid >= 0 && laid < at) return undefined;
  return /\b(?:lengthways|lengthwise|long sides?)\b/i.test(sentence)
    ? { width: cut.widthMm / 2, height: cut.heightMm }
    : { width: cut.widthMm, height: cut.heightMm / 2 };
}

/** Whether a piece has finished edges, as a ribbon. */
export function isBound(sheet: Sheet, name: string): boolean {
  const piece = sheet.pieces.find((each) => each.name === name);
  return piece !== undefined && BOUND.test(`${piece.name} ${piece.material ?? ''}`);
}

/** Whether a piece is batting, stabiliser or film, which nobody looks for in the end. */
export function isQuiet(sheet: Sheet, name: string): boolean {
  const piece = sheet.pieces.find((each) => each.name === name);
  return piece !== undefined && (piece.role !== null || materialOf(piece, 0).kind === 'batting');
}
