/**
 * The value that half of the others lie below, the upper of two middle ones.
 *
 * @param values in any unit and order
 * @param none what is given where there are no values
 *
 * @example
 * median([3, 1, 2], 0) // 2
 */
export function median(values: readonly number[], none: number): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? none;
}
