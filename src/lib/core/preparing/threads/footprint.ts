import type { Path } from '$lib/core/base/geometry';
import { findLine, type Item, type Stop } from '$lib/core/documents/item';
import { geometryOf } from '$lib/core/stitching/stitches';

/** Where a stop stitches, in squares of a millimetre. */
export interface Footprint {
  cells: ReadonlySet<number>;
  /** Whether the stitches themselves are known, and not only the line that bounds them. */
  exact: boolean;
}

/** Squares are numbered row by row; a hoop is far smaller than this, mm. */
const ROW = 8192;
const HALF = ROW / 2;
const cellOf = (x: number, y: number): number => (Math.floor(y) + HALF) * ROW + Math.floor(x) + HALF;

/** What lies in a square and the eight round it: stitches nearer than that touch. */
const ROUND = [-ROW - 1, -ROW, -ROW + 1, -1, 0, 1, ROW - 1, ROW, ROW + 1];

const kept = new WeakMap<Stop, { item: Item; footprint: Footprint | null }>();

/**
 * Where a stop stitches: along its stitches where they are known, else anywhere inside the lines that bound it.
 *
 * @returns null where nothing is known of it
 */
export function footprintOf(stop: Stop, item: Item): Footprint | null {
  const known = kept.get(stop);
  if (known?.item === item) return known.footprint;
  const footprint = makeFootprint(stop, item);
  kept.set(stop, { item, footprint });
  return footprint;
}

function makeFootprint(stop: Stop, item: Item): Footprint | null {
  const own = geometryOf(stop, item);
  const cells = new Set<number>();
  if (own) {
    const { x, y, command } = own.stitches;
    for (let at = 0; at < x.length; at++) {
      const [toX, toY] = [x[at] ?? 0, y[at] ?? 0];
      const sewn = at > 0 && command[at] === 0;
      const [fromX, fromY] = sewn ? [x[at - 1] ?? toX, y[at - 1] ?? toY] : [toX, toY];
      const steps = Math.max(1, Math.ceil(Math.hypot(toX - fromX, toY - fromY)));
      for (let step = 0; step <= steps; step++)
        cells.add(cellOf(fromX + ((toX - fromX) * step) / steps, fromY + ((toY - fromY) * step) / steps));
    }
    return { cells, exact: true };
  }
  const lines = stop.lineIds.flatMap((id) => findLine(item, id)?.path ?? []);
  if (lines.length === 0) return null;
  for (const path of lines) addInside(path, cells);
  return { cells, exact: false };
}

/** Every square inside a path: between the crossings of each row, taken two by two. */
function addInside({ points, closed }: Path, cells: Set<number>): void {
  const rows = new Map<number, number[]>();
  const last = points.length - (closed ? 0 : 1);
  for (let at = 0; at < last; at++) {
    const [x1, y1] = points[at] ?? [0, 0];
    const [x2, y2] = points[(at + 1) % points.length] ?? [x1, y1];
    const steps = Math.max(1, Math.ceil(Math.hypot(x2 - x1, y2 - y1)));
    for (let step = 0; step <= steps; step++)
      cells.add(cellOf(x1 + ((x2 - x1) * step) / steps, y1 + ((y2 - y1) * step) / steps));
    if (!closed || y1 === y2) continue;
    const [top, bottom] = y1 < y2 ? [y1, y2] : [y2, y1];
    for (let row = Math.ceil(top - 0.5); row + 0.5 < bottom; row++) {
      const x = x1 + ((x2 - x1) * (row + 0.5 - y1)) / (y2 - y1);
      rows.set(row, [...(rows.get(row) ?? []), x]);
    }
  }
  for (const [row, crossings] of rows) {
    crossings.sort((a, b) => a - b);
    for (let at = 0; at + 1 < crossings.length; at += 2)
      for (let x = Math.floor(crossings[at] ?? 0); x <= Math.floor(crossings[at + 1] ?? 0); x++)
        cells.add(cellOf(x, row));
  }
}

/**
 * Whether two stops touch, as far as it is known: stitches within about a millimetre of each other do, and so may those
 * of which nothing is known.
 */
export function footprintsTouch(a: Footprint | null, b: Footprint | null): boolean {
  if (!a || !b) return true;
  const [few, many] = a.cells.size < b.cells.size ? [a.cells, b.cells] : [b.cells, a.cells];
  for (const cell of few) for (const by of ROUND) if (many.has(cell + by)) return true;
  return false;
}
