import { box, contains, extents, type Path, type Point, regionOf } from '$lib/core/base/geometry';
import type { ClothEntry } from '$lib/core/documents/stash';

/** Step at which a scrap’s shape is looked at, mm. */
const STEP_MM = 5;

/** The rectangle of a cloth that can be cut up, mm from the corner of its extents. */
export interface Usable {
  x: number;
  y: number;
  width: number;
  height: number;
}

/**
 * The largest upright rectangle inside a scrap that is not stitched yet, to 5 mm and never too large; the whole cloth where
 * it is a rectangle without stitches.
 *
 * The shape is laid on squares of 5 mm; those wholly inside are kept, and the largest rectangle of squares is found row by
 * row from the heights above each (the largest rectangle under a histogram).
 */
export function usableOf({
  width,
  height,
  outline,
  stitched
}: Pick<ClothEntry, 'width' | 'height' | 'outline' | 'stitched'>): Usable {
  if (!outline && stitched.length === 0) return { x: 0, y: 0, width, height };
  const shape = outline ?? box(0, 0, width, height);
  const { minX, minY, width: across, height: down } = extents(shape);
  const [columns, rows] = [Math.floor(across / STEP_MM), Math.floor(down / STEP_MM)];
  const inside = insideCells(shape, [minX, minY], columns, rows).map((within, at) => {
    const [x, y] = [(at % columns) * STEP_MM, Math.floor(at / columns) * STEP_MM];
    const used = stitched.some(
      (part) =>
        part.x < x + STEP_MM && part.x + part.width > x && part.y < y + STEP_MM && part.y + part.height > y
    );
    return within && !used;
  });
  const depth = new Array<number>(columns).fill(0);
  let best = { x: 0, y: 0, width: 0, height: 0 };
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++)
      depth[column] = inside[row * columns + column] ? (depth[column] ?? 0) + 1 : 0;
    for (let from = 0; from < columns; from++) {
      let least = Infinity;
      for (let to = from; to < columns && (depth[to] ?? 0) > 0; to++) {
        least = Math.min(least, depth[to] ?? 0);
        if ((to - from + 1) * least > best.width * best.height)
          best = { x: from, y: row - least + 1, width: to - from + 1, height: least };
      }
    }
  }
  return {
    x: best.x * STEP_MM,
    y: best.y * STEP_MM,
    width: best.width * STEP_MM,
    height: best.height * STEP_MM
  };
}

/** Squares whose corners, middle and middles of the sides all lie inside the shape. */
function insideCells(outline: Path, [left, top]: Point, columns: number, rows: number): boolean[] {
  const region = regionOf(outline);
  const fine = STEP_MM / 2;
  const across = columns * 2 + 1;
  // A point on an edge counts as outside, so all are drawn towards the middle by a hair.
  const hair = 1 - 1e-6;
  const [middleX, middleY] = [(columns * STEP_MM) / 2, (rows * STEP_MM) / 2];
  const at: boolean[] = [];
  for (let row = 0; row <= rows * 2; row++)
    for (let column = 0; column < across; column++)
      at.push(
        contains(region, [
          left + middleX + (column * fine - middleX) * hair,
          top + middleY + (row * fine - middleY) * hair
        ])
      );
  const cells: boolean[] = [];
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const first = row * 2 * across + column * 2;
      cells.push(
        [0, 1, 2].every((down) => [0, 1, 2].every((right) => at[first + down * across + right] === true))
      );
    }
  return cells;
}

/**
 * The outline of a scrap whose lower right corner is gone, mm; no more is taken off than there is.
 *
 * @param across what is gone of its width, mm
 * @param down what is gone of its height, mm
 *
 * @example
 * withoutCorner(260, 240, 90, 90).points[2] // [260, 150]
 */
export function withoutCorner(width: number, height: number, across: number, down: number): Path {
  return {
    closed: true,
    points: [
      [0, 0],
      [width, 0],
      [width, height - Math.min(down, height)],
      [width - Math.min(across, width), height],
      [0, height]
    ]
  };
}
