import { foldOf, hangs, isBound, type Sheet } from './ways';

interface Size {
  width: number;
  height: number;
}

/** An edge of the outline along which something lies, and on which side of it its body is. */
export interface Rim {
  lineId: string;
  body: 'up' | 'down';
}

/** A ribbon longer than this share of the outline’s width lies across it. */
const ACROSS = 1.5;

/** Whether a piece is too small to cover the whole outline. */
export function isPart(sheet: Sheet, size: Size, name: string): boolean {
  const piece = sheet.pieces.find((each) => each.name === name);
  if (piece?.cut?.heightMm == null) return false;
  const { width, height } = foldOf(sheet, piece) ?? { width: piece.cut.widthMm, height: piece.cut.heightMm };
  return height < size.height || width < size.width;
}

/** Whether a piece is a loop or a short ribbon, whose ends the outline catches. */
export function isTied(sheet: Sheet, size: Size, name: string): boolean {
  const cut = sheet.pieces.find((piece) => piece.name === name)?.cut;
  return isBound(sheet, name) && cut?.heightMm === null && cut.widthMm < size.width * ACROSS;
}

/**
 * The side of the outline along which a part lies that no seam places: “raw edges at the top”.
 *
 * @example
 * rimOf(sheetOfAnEnvelope, { width: 200, height: 200 }, 'upper back') // { lineId: 'rim-top', body: 'down' }
 */
export function rimOf(sheet: Sheet, size: Size, name: string): Rim | undefined {
  if (hangs(sheet, size, name)) return { lineId: 'rim-bottom', body: 'down' };
  if (!isPart(sheet, size, name) || isBound(sheet, name)) return undefined;
  const said = sheet.actions.find(({ action, piece }) => action === 'lay' && piece === name)?.text ?? '';
  const edge = (words: string): boolean =>
    new RegExp(`\\b(?:at|along|to|with|on|matching|meeting|against) the (?:${words})\\b`, 'i').test(said) ||
    new RegExp(`\\bedges? (?:at|along) (?:${words})\\b|\\bon the (?:${words}) half\\b`, 'i').test(said);
  const isUpper = /^(?:upper|top)\b/i.test(name);
  const isLower = /^(?:lower|bottom)\b/i.test(name);
  if (isUpper || (!isLower && edge('top|upper'))) return { lineId: 'rim-top', body: 'down' };
  if (isLower || edge('bottom|lower')) return { lineId: 'rim-bottom', body: 'up' };
  return undefined;
}
