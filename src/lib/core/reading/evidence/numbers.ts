import { metresPer } from '$lib/core/base/units';

/**
 * Reads a stitch count as charts print it, with or without marks between thousands.
 *
 * @returns a whole number, or undefined when the text is something else
 *
 * @example
 * readCount('1,500') // 1500
 * readCount('1 500 sts') // 1500
 */
export function readCount(text: string): number | undefined {
  const bare = text
    .trim()
    .toLowerCase()
    .replace(/\s*(?:stitches|stitch|sts|st)\.?$/, '');
  if (/^\d+$/.test(bare)) return Number(bare);
  if (/^\d{1,3}([.,'’ \u00a0\u202f])\d{3}(?:\1\d{3})*$/.test(bare)) return Number(bare.replace(/\D/g, ''));
  return undefined;
}

/** A length of thread read from a chart; `unitSeen` is false where the chart does not say the unit. */
export interface ReadLength {
  metres: number;
  unitSeen: boolean;
}

/**
 * Reads a thread length with its unit, or in the unit that the column’s heading names.
 *
 * @param headingUnit unit word of the heading, if it has one
 * @returns undefined when the text is no length
 *
 * @example
 * readThreadLength('0.60 m') // { metres: 0.6, unitSeen: true }
 * readThreadLength('60', 'cm') // { metres: 0.6, unitSeen: true }
 */
export function readThreadLength(text: string, headingUnit?: string): ReadLength | undefined {
  const found = /^(\d{1,6}(?:[.,]\d+)?)\s*([a-z."'″′]*)$/i.exec(text.trim());
  if (!found) return undefined;
  const [, digits = '', unit = ''] = found;
  const value = Number(digits.replace(',', '.'));
  const said = unit === '' ? headingUnit : unit;
  if (said === undefined) return { metres: value, unitSeen: false };
  const factor = metresPer(said);
  return factor === undefined ? undefined : { metres: round6(value * factor), unitSeen: true };
}

function round6(value: number): number {
  return Math.round(value * 1e6) / 1e6;
}
