/** Lengths: millimetres inside, the maker's unit outside. Inches exist only in this room. */

export const MM_PER_INCH = 25.4;

/** The unit a maker reads and types. */
export type LengthUnit = 'mm' | 'in';

export type LengthResult = { ok: true; mm: number } | { ok: false; problem: string };

const VULGAR: Record<string, string> = {
  '½': '1/2',
  '⅓': '1/3',
  '⅔': '2/3',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8'
};
/** Fractions shown as one sign; the others take a fraction slash, which the fonts set as a fraction. */
const SHOWN: Record<string, string> = { '1/2': '½', '1/4': '¼', '3/4': '¾' };

/** Unit words a maker may type, with the millimetres in one of them. */
const UNIT_MM: [pattern: RegExp, mm: number][] = [
  [/(?:millimet(?:re|er)s?|mm)$/, 1],
  [/(?:centimet(?:re|er)s?|cm)$/, 10],
  [/(?:met(?:re|er)s?|m)$/, 1000],
  [/(?:inch(?:es)?|in\.?|"|″|”)$/, MM_PER_INCH]
];

const NUMBER = /^([-−–])?\s*(?:(\d+(?:[.,]\d+)?)|(\d+)\s*[-\s]\s*(\d+)\s*\/\s*(\d+)|(\d+)\s*\/\s*(\d+))$/;

/**
 * Reads a length as a maker types it.
 *
 * A number without a unit is in `unit`; a fraction without a unit is always inches, since nobody writes
 * millimetres as fractions. A minus, in front of the whole, is for what lies to the left or towards you; who asks for a length that cannot
 * be below nothing refuses it there.
 *
 * @param text what was typed, for instance `4 3/8`, `4.375"`, `111mm`, `11,1 cm`
 * @param unit the maker's own unit
 * @returns the length in millimetres, or one sentence that says what is wrong
 *
 * @example
 * parseLength('4 3/8', 'in') // { ok: true, mm: 111.125 }
 * parseLength('11.1 cm', 'in') // { ok: true, mm: 111 }
 * parseLength('−46 mm', 'in') // { ok: true, mm: -46 }
 */
export function parseLength(text: string, unit: LengthUnit): LengthResult {
  let rest = text.trim().toLowerCase();
  if (rest === '') return { ok: false, problem: 'Type a length, for instance 4 3/8 or 111 mm.' };
  rest = rest
    .replace(/[½⅓⅔¼¾⅛⅜⅝⅞]/g, (sign) => ` ${VULGAR[sign]}`)
    .replace(/⁄/g, '/')
    .trim();

  let factor: number | undefined;
  for (const [pattern, mm] of UNIT_MM) {
    if (pattern.test(rest)) {
      factor = mm;
      rest = rest.replace(pattern, '').trim();
      break;
    }
  }

  const found = NUMBER.exec(rest.replace(/\s+/g, ' '));
  if (!found) {
    return { ok: false, problem: `“${text.trim()}” is not a length. Try 4 3/8, 4.375", 111 mm or 11.1 cm.` };
  }
  const [, minus, decimal, whole, top, bottom, plainTop, plainBottom] = found;
  let value: number;
  let fraction = true;
  if (decimal !== undefined) {
    value = Number(decimal.replace(',', '.'));
    fraction = false;
  } else {
    const below = Number(bottom ?? plainBottom);
    if (below === 0) return { ok: false, problem: `“${text.trim()}” divides by zero.` };
    value = Number(whole ?? 0) + Number(top ?? plainTop) / below;
  }
  const perUnit = factor ?? (fraction || unit === 'in' ? MM_PER_INCH : 1);
  const mm = roundTo(value * perUnit, 6);
  return { ok: true, mm: minus !== undefined && mm !== 0 ? -mm : mm };
}

/**
 * Writes a length in one unit: inches to the nearest sixteenth with real fractions, millimetres to a tenth.
 *
 * @example
 * formatLength(111.125, 'in') // '4 3⁄8 in', set as a real fraction by the fonts
 * formatLength(111.125, 'mm') // '111.1 mm'
 * formatLength(0.5, 'in') // 'a thread’s width'
 */
export function formatLength(mm: number, unit: LengthUnit): string {
  const number = formatNumber(mm, unit);
  // Nothing is not what is meant by half a millimetre.
  return number === '0' && mm > 0 ? 'a thread’s width' : `${number} ${unit}`;
}

/**
 * Writes a width by a height, the unit said once.
 *
 * @example
 * formatSize({ width: 57.15, height: 120.65 }, 'in') // '2 ¼ × 4 ¾ in'
 */
export function formatSize(size: { width: number; height: number }, unit: LengthUnit): string {
  return `${formatNumber(size.width, unit)} × ${formatNumber(size.height, unit)} ${unit}`;
}

/**
 * A sentence with its millimetres in the maker’s unit.
 *
 * @example
 * saidIn('at least 25.4 mm', 'in') // 'at least 1 in'
 */
export function saidIn(text: string, unit: LengthUnit): string {
  if (unit === 'mm') return text;
  return text.replace(
    /(\d+(?:\.\d+)?)((?: (?:to|or) \d+(?:\.\d+)?)*) mm\b/g,
    (_, first: string, more: string) => {
      if (more === '') return formatLength(Number(first), unit);
      const others = more.replace(/\d+(?:\.\d+)?/g, (each) => formatNumber(Number(each), unit));
      return `${formatNumber(Number(first), unit)}${others} ${unit}`;
    }
  );
}

/** The other unit, for the text shown on hover. */
export function otherUnit(unit: LengthUnit): LengthUnit {
  return unit === 'mm' ? 'in' : 'mm';
}

function formatNumber(mm: number, unit: LengthUnit): string {
  if (unit === 'mm') return String(roundTo(mm, 1));
  const sign = mm < 0 ? '−' : '';
  const sixteenths = Math.round((Math.abs(mm) / MM_PER_INCH) * 16);
  const whole = Math.floor(sixteenths / 16);
  const part = sixteenths % 16;
  if (part === 0) return `${sign}${whole}`;
  const divisor = part % 8 === 0 ? 8 : part % 4 === 0 ? 4 : part % 2 === 0 ? 2 : 1;
  const fraction = `${part / divisor}/${16 / divisor}`;
  const shown = SHOWN[fraction] ?? fraction.replace('/', '⁄');
  return sign + (whole > 0 ? `${whole} ${shown}` : shown);
}

/**
 * Rounds to a number of decimals without the tail that binary fractions leave.
 *
 * @example
 * roundTo(57.150000000000006, 2) // 57.15
 */
export function roundTo(value: number, decimals: number): number {
  const scale = 10 ** decimals;
  return Math.round((value + Number.EPSILON * Math.sign(value)) * scale) / scale;
}
