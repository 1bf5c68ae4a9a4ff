import type { Lying, Stack } from './columns';

/**
 * The stacks of greatest value that fit beside each other across a strip.
 *
 * @param width of the strip, cells
 *
 * @example
 * // In a strip 10 wide, 6 + 4 are worth more than 7 alone.
 * bestRow([{ width: 7, pieces: [], value: 7 }, { width: 6, pieces: [], value: 6 }, { width: 4, pieces: [], value: 4 }], 10)
 */
export function bestRow(stacks: readonly Stack[], width: number): readonly Stack[] {
  let all = 0;
  for (const stack of stacks) all += stack.width;
  if (all <= width) return stacks;
  const best = new Float64Array(width + 1);
  const taken = new Uint8Array(stacks.length * (width + 1));
  for (let index = 0; index < stacks.length; index++) {
    const stack = stacks[index] as Stack;
    const row = index * (width + 1);
    for (let room = width; room >= stack.width; room--) {
      const sum = (best[room - stack.width] as number) + stack.value;
      if (sum <= (best[room] as number)) continue;
      best[room] = sum;
      taken[row + room] = 1;
    }
  }
  const chosen: Stack[] = [];
  for (let index = stacks.length - 1, room = width; index >= 0; index--) {
    const stack = stacks[index];
    if (!stack || taken[index * (width + 1) + room] !== 1) continue;
    chosen.push(stack);
    room -= stack.width;
  }
  return chosen;
}

/** A filled strip, in cells. */
export interface StripRow {
  height: number;
  stacks: readonly Stack[];
}

/** How many of each size a row takes. */
export function takenBy({ stacks }: StripRow): Map<number, number> {
  const taken = new Map<number, number>();
  for (const { pieces } of stacks) for (const { at } of pieces) taken.set(at, (taken.get(at) ?? 0) + 1);
  return taken;
}

/** The height a row really needs. */
export function heightOf(stacks: readonly Stack[]): number {
  return stacks.reduce((most, { pieces }) => Math.max(most, total(pieces)), 0);
}

/** Cells a row covers with pieces. */
export function stripArea({ stacks }: StripRow): number {
  return stacks.reduce((sum, { width, pieces }) => sum + width * total(pieces), 0);
}

function total(pieces: readonly Lying[]): number {
  return pieces.reduce((sum, { height }) => sum + height, 0);
}
