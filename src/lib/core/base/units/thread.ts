import { MM_PER_INCH } from './length';

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

/**
 * Writes a length of thread.
 *
 * @example
 * formatThread(16.58) // '16.58 m'
 * formatThread(820) // '820 m'
 */
export function formatThread(metres: number): string {
  return `${metres.toFixed(metres < 100 ? 2 : 0)} m`;
}
