import type { Size } from './columns';
import type { Cloth, Wanted } from './types';

/** The finest grid that is still quick: cells across the widest cloth. */
const MOST_CELLS = 2400;

/**
 * The cell that all sizes are counted in: the greatest length, µm, that goes into every side a whole number of times. Sizes
 * rounded for the ruler have a large one; where sizes have none worth the name, cells are as fine as is still quick and
 * sizes are rounded up to them.
 *
 * @example
 * cellFor([{ width: 101.6, height: 228.6, … }], [{ width: 1117.6, … }]) // 25400, an inch
 */
export function cellFor(wanted: readonly Wanted[], cloths: readonly Cloth[]): number {
  const shared = wanted
    .flatMap(({ width, height }) => [micrometres(width), micrometres(height)])
    .reduce(commonDivisor, 0);
  const widest = Math.max(...cloths.flatMap(({ width, height }) => [width, height ?? 0]).map(micrometres), 1);
  return Math.max(shared, Math.ceil(widest / MOST_CELLS));
}

/** A wanted size in cells, rounded up. */
export function sizeInCells({ width, height, turn }: Wanted, cell: number): Size {
  const [trueWidth, trueHeight] = [micrometres(width), micrometres(height)];
  return {
    width: Math.ceil(trueWidth / cell),
    height: Math.ceil(trueHeight / cell),
    trueWidth,
    trueHeight,
    turn
  };
}

/** Whole cells that go into a length. */
export function cellsOf(mm: number, cell: number): number {
  return Math.floor(micrometres(mm) / cell);
}

const micrometres = (mm: number): number => Math.round(mm * 1000);

function commonDivisor(a: number, b: number): number {
  return b === 0 ? a : commonDivisor(b, a % b);
}
