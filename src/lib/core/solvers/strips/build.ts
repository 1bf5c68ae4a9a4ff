import { type Room, type Size, stacksFor, stripHeights, waysToLie } from './columns';
import { bestRow, heightOf, stripArea, type StripRow, takenBy } from './fillStrip';
import { cellsOf, sizeInCells } from './grid';
import type { Cloth, Wanted } from './types';

/** A cloth with the rows chosen for it so far. */
export interface Filled {
  along: boolean;
  rows: StripRow[];
}

/** What is wanted and what there is, in cells. */
export interface StripTask {
  wanted: readonly Wanted[];
  sizes: Size[];
  cloths: readonly Cloth[];
  /** Room of each cloth, cells, as it lies. */
  rooms: { width: number; height: number }[];
  cell: number;
}

/** Puts a task into cells. */
export function taskOf(wanted: readonly Wanted[], cloths: readonly Cloth[], cell: number): StripTask {
  const sizes = wanted.map((each) => sizeInCells(each, cell));
  const endless = wanted.reduce(
    (sum, { count }, at) => sum + count * Math.max(sizes[at]?.width ?? 0, sizes[at]?.height ?? 0),
    1
  );
  const rooms = cloths.map(({ width, height }) => ({
    width: cellsOf(width, cell),
    height: height === null ? endless : cellsOf(height, cell)
  }));
  return { wanted, sizes, cloths, rooms, cell };
}

/** The room in which a cloth’s strips are cut. */
function roomOf(task: StripTask, cloth: number, along: boolean): Room {
  const { width, height } = task.rooms[cloth] ?? { width: 0, height: 0 };
  return along ? { width: height, height: width, swapped: true } : { width, height, swapped: false };
}

/**
 * Fills the cloths one after another, strip by strip, each time with the strip whose pieces are worth most for its
 * height. What is in `filled` stays.
 *
 * @param value what placing one of each size is worth
 * @param skip cloths to leave alone this time
 * @returns how many of each size found no place
 */
export function fillUp(
  task: StripTask,
  filled: Filled[],
  left: number[],
  value: readonly number[],
  skip: ReadonlySet<number>,
  random: () => number
): number[] {
  task.cloths.forEach((cloth, index) => {
    const own = filled[index];
    if (!own || skip.has(index)) return;
    const room = roomOf(task, index, own.along);
    room.height -= own.rows.reduce((sum, { height }) => sum + height, 0);
    const sizes = task.sizes.map((size) => ({ ...size, turn: size.turn && cloth.turn }));
    for (;;) {
      const here = left.map((count, at) => {
        const only = task.wanted[at]?.only;
        return only === undefined || only === cloth.id || only === cloth.group ? count : 0;
      });
      const row = bestStrip(sizes, here, value, room, random);
      if (!row) break;
      for (const [at, times] of takenBy(row)) left[at] = (left[at] ?? 0) - times;
      own.rows.push(row);
      room.height -= row.height;
    }
  });
  return left;
}

function bestStrip(
  sizes: readonly Size[],
  left: readonly number[],
  value: readonly number[],
  room: Room,
  random: () => number
): StripRow | undefined {
  const ways = waysToLie(sizes, left, room);
  let best: StripRow | undefined;
  let most = 0;
  for (const height of stripHeights(ways, room.height, random)) {
    const stacks = bestRow(stacksFor(ways, height, room.width, left, value, random), room.width);
    if (stacks.length === 0) continue;
    const needed = heightOf(stacks);
    let worth = 0;
    for (const stack of stacks) worth += stack.value;
    if (worth / needed <= most) continue;
    best = { height: needed, stacks };
    most = worth / needed;
  }
  return best;
}

/** Pieces in wasteful rows become worth more, so that next time they are placed while there is choice. */
export function correctValues(task: StripTask, filled: readonly Filled[], value: number[]): void {
  filled.forEach(({ rows, along }, index) => {
    const { width } = roomOf(task, index, along);
    for (const row of rows) {
      const share = stripArea(row) / (row.height * width);
      for (const at of takenBy(row).keys()) {
        const { width: w, height: h } = task.sizes[at] ?? { width: 0, height: 0 };
        value[at] = 0.6 * (value[at] ?? 0) + 0.4 * w * h * Math.pow(1 / share, 1.2);
      }
    }
  });
}
