import { formatLength, type LengthUnit, MM_PER_INCH, roundTo } from './length';

const METRES: Record<string, number> = {
  m: 1,
  cm: 0.01,
  mm: 0.001,
  in: MM_PER_INCH / 1000,
  ft: 0.3048,
  yd: 0.9144
};
const SPELLED: [RegExp, string][] = [
  [/^(?:millimet(?:re|er)s?|mm)$/, 'mm'],
  [/^(?:centimet(?:re|er)s?|cm)$/, 'cm'],
  [/^(?:met(?:re|er)s?|m)$/, 'm'],
  [/^(?:inch(?:es)?|in\.?|"|″)$/, 'in'],
  [/^(?:feet|foot|ft\.?|'|′)$/, 'ft'],
  [/^(?:yards?|yds?\.?)$/, 'yd']
];

/**
 * Metres in one of a unit named on a chart, or undefined for a word that is no unit of length.
 *
 * @example
 * metresPer('ft') // 0.3048
 */
export function metresPer(unit: string): number | undefined {
  const word = unit.trim().toLowerCase();
  const known = SPELLED.find(([pattern]) => pattern.test(word));
  return known && METRES[known[1]];
}

/** Metres in a yard. */
const YARD = 0.9144;

/**
 * Writes a length of thread: metres, or yards for who measures in inches.
 *
 * @param whole whole ones only, as on the label of a spool
 *
 * @example
 * formatThread(16.58, 'mm') // '16.58 m'
 * formatThread(820, 'in') // '897 yd'
 */
export function formatThread(metres: number, unit: LengthUnit, whole = false): string {
  const length = unit === 'in' ? metres / YARD : metres;
  return `${length.toFixed(length < 100 && !whole ? 2 : 0)} ${unit === 'in' ? 'yd' : 'm'}`;
}

/**
 * Writes how much of a roll or length of cloth there is, as it is bought: metres or yards from one on.
 *
 * @example
 * formatRoll(3100, 'mm') // '3.1 m'
 * formatRoll(450, 'mm') // '450 mm'
 * formatRoll(9144, 'in') // '10 yd'
 */
export function formatRoll(mm: number, unit: LengthUnit): string {
  const each = unit === 'in' ? YARD * 1000 : 1000;
  if (mm < each) return formatLength(mm, unit);
  return `${roundTo(mm / each, 1)} ${unit === 'in' ? 'yd' : 'm'}`;
}

/**
 * Writes the width of a roll as its label has it: one made in inches stays so where millimetres would not be whole.
 *
 * @example
 * formatWidth(304.8, 'mm') // '12 in'
 */
export function formatWidth(mm: number, unit: LengthUnit): string {
  const inches = mm / MM_PER_INCH;
  const isMadeInInches = Math.abs(inches - Math.round(inches)) < 1e-6 && Math.abs(mm - Math.round(mm)) > 1e-6;
  return formatLength(mm, isMadeInInches ? 'in' : unit);
}
