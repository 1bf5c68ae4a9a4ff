import { MM_PER_INCH, roundTo } from './length';

/** How a cut size is rounded up: what the maker's ruler shows. */
export type CutRounding = 'quarter-inch' | '5mm';

const STEP_MM: Record<CutRounding, number> = { 'quarter-inch': MM_PER_INCH / 4, '5mm': 5 };

/**
 * Rounds a length up to the next mark of the ruler; a length already on a mark stays.
 *
 * @param mm exact length in millimetres
 * @param rounding the maker's choice
 * @returns millimetres, never less than `mm` (apart from a thousandth lost to binary fractions)
 *
 * @example
 * roundUpForCutting(54, 'quarter-inch') // 57.15, which is 2 ¼ in
 * roundUpForCutting(54, '5mm') // 55
 */
export function roundUpForCutting(mm: number, rounding: CutRounding): number {
  const step = STEP_MM[rounding];
  return roundTo(Math.ceil(mm / step - 0.001 / step) * step, 3);
}
