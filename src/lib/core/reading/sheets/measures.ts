import { MM_PER_INCH } from '$lib/core/base/units';
import type { SheetPiece } from './pieceWords';

const NUMBER = String.raw`\d+(?:[.,]\d+)?(?:[\s-]+\d+\/\d+)?|\d+\/\d+|\d*[½¼¾⅛⅜⅝⅞]`;
const UNIT = String.raw`mm|cm|m\b|in\b\.?|inch(?:es)?|["″”]`;
const TIMES = String.raw`\s*(?:[x×*]|by)\s*`;
/** Width times height, with its units. */
export const SIZE = new RegExp(
  `(?<![\\d.,/])(${NUMBER})\\s*(${UNIT})?\\s*(?:wide|high|long|[wWhHlL]\\b)?${TIMES}(${NUMBER})\\s*(${UNIT})?(?:\\s*(?:high|long|wide|[wWhHlL]\\b))?`,
  'i'
);
/** A length alone. */
export const LENGTH = new RegExp(`(${NUMBER})\\s*(${UNIT})\\s*(?:long|of it|length)?`, 'i');

/** Whether a line states a size to cut. */
export function saysSize(text: string): boolean {
  return sizeIn(text) !== undefined;
}

/** A size to cut, with where it stands. */
export interface Sized {
  cut: NonNullable<SheetPiece['cut']>;
  printed: string;
  at: number;
}

/** Blanks run together, so that no pattern tries them in every way. */
export function flat(text: string): string {
  return text.replace(/\s+/g, ' ');
}

/**
 * The first size that a text says, in mm.
 *
 * @example
 * sizeIn('front, 4 x 5 in')?.cut // { widthMm: 101.6, heightMm: 127 }
 */
export function sizeIn(written: string): Sized | undefined {
  const text = flat(written);
  // "1x 20 x 27 cm" counts before it measures.
  const sizes = new RegExp(SIZE.source, 'gi');
  for (let found = sizes.exec(text); found; found = sizes.exec(text)) {
    const sized = sizedBy(found);
    if (sized) return sized;
    sizes.lastIndex = found.index + 1;
  }
  return undefined;
}

function sizedBy(found: RegExpExecArray): Sized | undefined {
  if (!found[1] || !found[3]) return undefined;
  // "180 x 200" alone is millimetres: nothing is cut that large in inches.
  const isLarge = Number(found[1]) >= 30 && Number(found[3]) >= 30;
  const unit = found[4] ?? found[2] ?? (isLarge ? 'mm' : undefined);
  if (unit === undefined) return undefined;
  const [widthMm, heightMm] = [toMm(found[1], found[2] ?? unit), toMm(found[3], unit)];
  return { cut: { widthMm, heightMm }, printed: found[0].trim(), at: found.index };
}

/** "5 1/4 in" or "5¼ in" as mm. */
export function toMm(digits: string, unit: string): number {
  const FRACTIONS: Readonly<Record<string, number>> = {
    '½': 0.5,
    '¼': 0.25,
    '¾': 0.75,
    '⅛': 0.125,
    '⅜': 0.375,
    '⅝': 0.625,
    '⅞': 0.875
  };
  let value = 0;
  for (const part of digits
    .replace(/([½¼¾⅛⅜⅝⅞])/, ' $1')
    .trim()
    .split(/[\s-]+/)) {
    const [over, under] = part.split('/');
    value +=
      FRACTIONS[part] ??
      (under === undefined ? Number(part.replace(',', '.')) : Number(over) / Number(under));
  }
  const each = /^mm/i.test(unit) ? 1 : /^cm/i.test(unit) ? 10 : /^m$/i.test(unit) ? 1000 : MM_PER_INCH;
  return Math.round(value * each * 100) / 100;
}
