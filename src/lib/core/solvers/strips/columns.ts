/** A size that is wanted, in cells, with its true sides in µm. */
export interface Size {
  width: number;
  height: number;
  trueWidth: number;
  trueHeight: number;
  turn: boolean;
}

/** Where strips are cut, in cells; `swapped` when they run along the cloth. */
export interface Room {
  width: number;
  height: number;
  swapped: boolean;
}

/** A size as it would lie in a strip, in cells of the grid. */
export interface Lying {
  at: number;
  width: number;
  height: number;
  /** Its true width, µm: only pieces of one true width make a column that needs no further cut. */
  true: number;
  turned: boolean;
  /** The same size lying the other way, where it may. */
  other: Lying | undefined;
}

/** Pieces of one width above each other. */
export interface Stack {
  width: number;
  pieces: Lying[];
  value: number;
}

/** Every way the sizes still wanted may lie in a room, those of one true width beside each other. */
export function waysToLie(sizes: readonly Size[], left: readonly number[], room: Room): Lying[] {
  const ways: Lying[] = [];
  sizes.forEach(({ width, height, trueWidth, trueHeight, turn }, at) => {
    if ((left[at] ?? 0) === 0) return;
    // On a cloth cut along, lying straight is what across would be turned.
    const upright: Lying = { at, width, height, true: trueWidth, turned: room.swapped, other: undefined };
    const flat: Lying = {
      at,
      width: height,
      height: width,
      true: trueHeight,
      turned: !room.swapped,
      other: undefined
    };
    const fitting = [upright, flat].filter((way) => fits(way, room, turn));
    if (fitting.length === 2 && trueWidth !== trueHeight) [upright.other, flat.other] = [flat, upright];
    else fitting.splice(1);
    ways.push(...fitting);
  });
  return ways.sort((a, b) => a.true - b.true);
}

function fits({ width, height, turned }: Lying, room: Room, turn: boolean): boolean {
  return (turn || !turned) && width > 0 && width <= room.width && height <= room.height;
}

/**
 * Everything a strip of a height could be filled with: for each width its stacks, the most valuable first, until the
 * pieces of that width are used up. A size that may lie both ways lies the one that wastes less, now and then the other.
 *
 * @param left how many of each are still wanted
 * @param value what placing one of each is worth
 */
export function stacksFor(
  ways: readonly Lying[],
  height: number,
  width: number,
  left: readonly number[],
  value: readonly number[],
  random: () => number
): Stack[] {
  const stacks: Stack[] = [];
  const flipped = new Set<number>();
  for (const { at, other } of ways) if (other && random() < FLIPPED) flipped.add(at);
  for (let from = 0; from < ways.length;) {
    const same: Lying[] = [];
    const real = ways[from]?.true;
    for (; ways[from]?.true === real && from < ways.length; from++) {
      const way = ways[from];
      if (way && way.height <= height && isChosen(way, height, flipped)) same.push(way);
    }
    if (same.length > 0) addStacks(stacks, same, height, width, left, value);
  }
  return stacks;
}

/** How often a size lies the way that wastes more, twice over since both its ways are asked. */
const FLIPPED = 0.1;

function isChosen(way: Lying, height: number, flipped: ReadonlySet<number>): boolean {
  const { other } = way;
  if (!other || other.height > height) return true;
  const own = Math.floor(height / way.height) * way.height;
  const others = Math.floor(height / other.height) * other.height;
  const better = own === others ? way.height > other.height : own > others;
  return better !== flipped.has(way.at);
}

function addStacks(
  stacks: Stack[],
  same: readonly Lying[],
  height: number,
  width: number,
  left: readonly number[],
  value: readonly number[]
): void {
  const [first] = same;
  if (!first) return;
  const still = same.map(({ at }) => left[at] ?? 0);
  for (let across = first.width; across <= width; across += first.width) {
    const pieces = same.length === 1 ? asMany(first, still, height) : bestStack(same, still, value, height);
    if (pieces.length === 0) return;
    let worth = 0;
    for (const { at } of pieces) worth += value[at] ?? 0;
    stacks.push({ width: first.width, pieces, value: worth });
  }
}

function asMany(piece: Lying, still: number[], height: number): Lying[] {
  const times = Math.min(still[0] ?? 0, Math.floor(height / piece.height));
  still[0] = (still[0] ?? 0) - times;
  return Array<Lying>(times).fill(piece);
}

/** The most valuable set whose heights go into `height`, taken off what is `still` there: a bounded knapsack. */
function bestStack(
  same: readonly Lying[],
  still: number[],
  value: readonly number[],
  height: number
): Lying[] {
  const best = new Float64Array(height + 1);
  const used = new Uint16Array(same.length * (height + 1));
  for (let index = 0; index < same.length; index++) {
    const { at, height: own } = same[index] as Lying;
    const worth = value[at] ?? 0;
    const most = Math.min(still[index] ?? 0, Math.floor(height / own));
    // From the full height down, so that what is read is still without this size.
    for (let room = height; room >= own; room--)
      for (let times = 1; times <= most && times * own <= room; times++) {
        const sum = (best[room - times * own] ?? 0) + times * worth;
        if (sum <= (best[room] ?? 0)) continue;
        best[room] = sum;
        used[index * (height + 1) + room] = times;
      }
  }
  const pieces: Lying[] = [];
  for (let index = same.length - 1, room = height; index >= 0; index--) {
    const times = used[index * (height + 1) + room] ?? 0;
    const piece = same[index] as Lying;
    for (let put = 0; put < times; put++) pieces.push(piece);
    still[index] = (still[index] ?? 0) - times;
    room -= times * piece.height;
  }
  return pieces;
}

/**
 * Heights to try for a strip, in cells: those of single pieces, and of two or three above each other. Where there are
 * many, a few of them by chance: the search comes back often.
 */
export function stripHeights(ways: readonly Lying[], most: number, random: () => number): number[] {
  const own = [...new Set(ways.map(({ height }) => height))];
  const heights = new Set<number>();
  const share = SINGLE / own.length;
  for (const height of own) if (share >= 1 || random() < share) heights.add(height);
  for (let tried = 0; tried < SUMS; tried++) {
    let sum = 0;
    for (let parts = random() < 0.3 ? 3 : 2; parts > 0; parts--)
      sum += own[Math.floor(random() * own.length)] ?? 0;
    if (sum > 0 && sum <= most) heights.add(sum);
  }
  const [first] = own;
  if (heights.size === 0 && first !== undefined) heights.add(first);
  return [...heights];
}

/** How many heights of single pieces, and how many sums, are tried for one strip. */
const SINGLE = 12;
const SUMS = 8;
