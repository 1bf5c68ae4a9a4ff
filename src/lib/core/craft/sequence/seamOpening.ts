import {
  alongAt,
  begunAt,
  cornersOf,
  extents,
  type Path,
  pathLength,
  type Point,
  pointAt,
  pointsAlong
} from '$lib/core/base/geometry';
import type { Line } from '$lib/core/documents/item';

/** A side of an item as it lies before the maker. */
export type Side = 'top' | 'bottom' | 'left' | 'right';

/** The side across from each. */
export const OPPOSITE = {
  top: 'bottom',
  bottom: 'top',
  left: 'right',
  right: 'left'
} as const satisfies Record<Side, Side>;

/** How far from a corner or a crossing seam an opening keeps, where there is room, mm. */
const CLEAR_MM = 10;
/** Places of an opening that are compared lie so far apart, mm. */
const STEP_MM = 1;
/** Turns of a path below this are a straight side, in radians. */
const STRAIGHT = 0.03;
/** A seam within so far of the outermost of a side runs along that side, mm. */
const ON_SIDE_MM = 3;
/** A point farther from the seam than this does not meet it, mm. */
const MEETS_MM = 3;

/** A seam with a gap in it; its path begins outside the gap. */
export interface OpenSeam {
  path: Path;
  gaps: Line['gaps'];
}

/** Where an opening is asked. */
interface Asked {
  side?: Side;
  /** From the middle of that side, to the right or towards the maker, mm. */
  along?: number;
  /** Points where something crosses the seam. */
  avoid?: readonly Point[];
  /** The path keeps its beginning, since it has another gap already. */
  begun?: boolean;
}

/**
 * Leaves a seam open to turn through: in the middle of a side where one is asked, else on a straight side and not round a
 * corner or a curve, clear of places where other seams meet it; of places alike on the side nearest the maker, in its middle.
 *
 * @param opening mm
 *
 * @example
 * seamOpening(shapePath('rectangle', 160, 200), 80).gaps // [{ from: 400, to: 480 }]: the middle of the lower side
 */
export function seamOpening(
  seam: Path,
  opening: number,
  { side, along = 0, avoid = [], begun = false }: Asked = {}
): OpenSeam {
  const whole = pathLength(seam);
  const wide = Math.min(opening, whole / 2);
  const middle = side ? alongAt(seam, middleOf(seam, side, along)) : straightest(seam, whole, wide, avoid);
  const from = begun ? Math.min(whole - wide, Math.max(0, middle - wide / 2)) : middle - wide / 2;
  if (from >= 0 && from + wide <= whole) return { path: seam, gaps: [{ from, to: from + wide }] };
  // A path that begins in the gap is begun opposite.
  const start = (middle + whole / 2) % whole;
  const moved = (from - start + 2 * whole) % whole;
  return { path: begunAt(seam, start), gaps: [{ from: moved, to: moved + wide }] };
}

/**
 * How far out on one side a seam runs within a band across it: for the top the least y, for the right the greatest x.
 *
 * @param from left or upper end of the band
 * @param to right or lower end
 *
 * @example
 * outermost(shapePath('rectangle', 160, 200), 'top', -10, 10) // -100
 */
export function outermost(seam: Path, side: Side, from: number, to: number): number | undefined {
  const upright = side === 'top' || side === 'bottom';
  const there = pointsAlong(seam, STEP_MM).flatMap(([x, y]) => {
    const [across, out] = upright ? [x, y] : [y, x];
    return across >= from && across <= to ? [out] : [];
  });
  if (there.length === 0) return undefined;
  return side === 'top' || side === 'left' ? Math.min(...there) : Math.max(...there);
}

/** How near to the middle a seam comes on one side within a band across it, as a distance from the middle, mm. */
export function innermost(seam: Path, side: Side, from: number, to: number): number | undefined {
  const beside = side === 'left' || side === 'right';
  const sign = side === 'left' || side === 'top' ? -1 : 1;
  const there = pointsAlong(seam, STEP_MM).flatMap(([x, y]) => {
    const [across, out] = beside ? [y, sign * x] : [x, sign * y];
    return across >= from && across <= to && out > 0 ? [out] : [];
  });
  return there.length === 0 ? undefined : Math.min(...there);
}

const ALL_SIDES: readonly Side[] = ['bottom', 'top', 'left', 'right'];

/**
 * Leaves whole sides of a seam open, as the mouth of a bag: each as far as the seam runs along that side.
 *
 * @param stays never closed again
 *
 * @example
 * openSides(shapePath('rectangle', 160, 200), ['top']).gaps // [{ from: 280, to: 440, stays: true }], begun below
 */
export function openSides(seam: Path, sides: readonly Side[], stays = true): OpenSeam {
  const { minX, minY, maxX, maxY } = extents(seam);
  const away = ([x, y]: Point, side: Side): number =>
    ({ top: y - minY, bottom: maxY - y, left: x - minX, right: maxX - x })[side];
  const whole = pathLength(seam);
  const closed = ALL_SIDES.find((side) => !sides.includes(side)) ?? 'bottom';
  const path = begunAt(seam, alongAt(seam, middleOf(seam, closed)));
  const on = (along: number, side: Side): boolean => away(pointAt(path, along), side) <= ON_SIDE_MM;
  const gaps = sides.map((side) => {
    let from = alongAt(path, middleOf(path, side));
    let to = from;
    while (from - STEP_MM >= 0 && on(from - STEP_MM, side)) from -= STEP_MM;
    while (to + STEP_MM <= whole && on(to + STEP_MM, side)) to += STEP_MM;
    return { from, to, ...(stays && { stays }) };
  });
  return { path, gaps: gaps.sort((a, b) => a.from - b.from) };
}

/**
 * The stretches of a closed path between its gaps.
 *
 * @example
 * strokesOf(openSides(shapePath('rectangle', 160, 200), ['top'])).length // 1: three sides in one go
 */
export function strokesOf({ path, gaps }: OpenSeam): Path[] {
  if (gaps.length === 0) return [path];
  const whole = pathLength(path);
  const inOrder = [...gaps].sort((a, b) => a.from - b.from);
  return inOrder.flatMap(({ to }, at): Path[] => {
    const next = inOrder[(at + 1) % inOrder.length] ?? inOrder[0];
    const until = next ? next.from + (at === inOrder.length - 1 ? whole : 0) : whole;
    if (until - to < STEP_MM) return [];
    const round = begunAt(path, to % whole);
    const { points } = round;
    let along = 0;
    const kept: Point[] = [];
    for (const [index, point] of points.entries()) {
      const before = points[index - 1];
      if (before) along += Math.hypot(point[0] - before[0], point[1] - before[1]);
      if (along >= until - to) break;
      kept.push(point);
    }
    return [{ closed: false, points: [...kept, pointAt(round, Math.min(until - to, whole))] }];
  });
}

function middleOf(seam: Path, side: Side, along = 0): Point {
  const { minX, maxX, minY, maxY } = extents(seam);
  const [x, y] = [(minX + maxX) / 2 + along, (minY + maxY) / 2 + along];
  return { top: [x, minY], bottom: [x, maxY], left: [minX, y], right: [maxX, y] }[side] as Point;
}

/** Where the middle of an opening lies best, mm along the path. */
function straightest(seam: Path, whole: number, wide: number, avoid: readonly Point[]): number {
  const cells = Math.max(1, Math.ceil(whole / STEP_MM));
  const cellOf = (along: number): number => Math.min(cells - 1, Math.floor(along / STEP_MM));
  const turns = new Array<number>(cells).fill(0);
  for (const { along, turn } of cornersOf(seam)) turns[cellOf(along)] = (turns[cellOf(along)] ?? 0) + turn;
  const meets = new Array<number>(cells).fill(0);
  for (const point of avoid) {
    const along = alongAt(seam, point);
    const [x, y] = pointAt(seam, along);
    if (Math.hypot(x - point[0], y - point[1]) <= MEETS_MM) meets[cellOf(along)] = 1;
  }
  const reach = Math.min(Math.floor((cells - 1) / 2), Math.ceil((wide / 2 + CLEAR_MM) / STEP_MM));
  const turned = roundSums(turns, reach);
  const met = roundSums(meets, reach);
  const clear = roundDistances(turns.map((turn) => turn > STRAIGHT));
  const places = turns.map((_, at) => ({
    middle: at * STEP_MM,
    turn: Math.floor((turned[at] ?? 0) / STRAIGHT),
    met: met[at] ?? 0,
    low: pointAt(seam, at * STEP_MM)[1],
    clear: clear[at] ?? 0
  }));
  const better = (a: (typeof places)[number], b: (typeof places)[number]): number =>
    a.met - b.met || a.turn - b.turn || Math.round((b.low - a.low) / 5) || b.clear - a.clear;
  return places.reduce((best, place) => (better(place, best) < 0 ? place : best)).middle;
}

/** Sums of a ring of values, each with so many neighbours on either side. @example roundSums([1, 0, 0, 2], 1) // [3, 1, 2, 3] */
function roundSums(ring: readonly number[], reach: number): number[] {
  const at = (index: number): number => ring.at(index % ring.length) ?? 0;
  let sum = 0;
  for (let index = -reach; index <= reach; index++) sum += at(index);
  return ring.map((_, index) => {
    const own = sum;
    sum += at(index + reach + 1) - at(index - reach);
    return own;
  });
}

/** How far each place of a ring is from the next that is marked, either way. @example roundDistances([true, false, false]) // [0, 1, 1] */
function roundDistances(marked: readonly boolean[]): number[] {
  const found = marked.map((is) => (is ? 0 : Infinity));
  const pass = (indexes: readonly number[], before: -1 | 1): void => {
    for (const index of [...indexes, ...indexes])
      found[index] = Math.min(found[index] ?? 0, (found.at((index + before) % found.length) ?? Infinity) + 1);
  };
  const forward = found.map((_, index) => index);
  pass(forward, -1);
  pass(forward.toReversed(), 1);
  return found;
}

/** A gap in a seam as one speaks of it. */
interface Opening {
  /** On the side of the item it lies nearest to. */
  side: Side;
  lengthMm: number;
  /** Never closed, as the mouth of a bag. */
  stays: boolean;
}

/**
 * The gaps of a line, by the side each lies on.
 *
 * @example
 * openingsOf({ path: shapePath('rectangle', 160, 200), gaps: [{ from: 400, to: 480 }] })
 * // [{ side: 'bottom', lengthMm: 80, stays: false }]
 */
export function openingsOf({ path, gaps }: Pick<Line, 'path' | 'gaps'>): Opening[] {
  const { minX, maxX, minY, maxY } = extents(path);
  return gaps.map(({ from, to, stays }) => {
    const [x, y] = pointAt(path, (from + to) / 2);
    const away: [Side, number][] = [
      ['top', y - minY],
      ['bottom', maxY - y],
      ['left', x - minX],
      ['right', maxX - x]
    ];
    const [[side]] = away.sort(([, a], [, b]) => a - b) as [[Side, number]];
    return { side, lengthMm: to - from, stays: stays === true };
  });
}
