import { contains, inset, type Path, type Point, type Region, regionOf } from '$lib/core/base/geometry';
import { evenly } from './along';
import { satinStitches } from './column';
import { joined, type Stitches, StitchWriter } from './stitches';

/** Most cells of a stipple or lines of a grid: a field with more is no field of a hoop. */
const MOST_CELLS = 40_000;

/**
 * Stippling: one line that wanders through a field without ever crossing itself, the walk round a random tree of
 * squares. Where the field falls apart a jump leads from part to part.
 *
 * @param field outline of the field
 * @param random numbers from 0 to 1, from a seeded generator
 * @param spacing distance between neighbouring lines, mm
 *
 * @throws RangeError when the spacing is not above 0, or so small that the field would take too many stitches
 */
export function stippleStitches(
  field: Path,
  random: () => number,
  { spacing = 5, length = 2.2 }: { spacing?: number; length?: number } = {}
): Stitches {
  if (!(spacing > 0)) throw new RangeError('Stippling needs a spacing above 0 mm.');
  const region = regionOf(field);
  const grid = gridOf(region, 2 * spacing);
  const inside = new Set<number>();
  for (let row = 0; row < grid.rows; row++) {
    for (let column = 0; column < grid.columns; column++) {
      const [x, y] = grid.centre(column, row);
      const quarter = spacing / 2;
      const corners: Point[] = [
        [x - quarter, y - quarter],
        [x + quarter, y - quarter],
        [x - quarter, y + quarter],
        [x + quarter, y + quarter]
      ];
      if (corners.every((corner) => contains(region, corner))) inside.add(row * grid.columns + column);
    }
  }
  const parts: Stitches[] = [];
  const open = new Set(inside);
  for (const start of inside) {
    if (!open.has(start)) continue;
    const links = randomTree(start, open, grid.columns, random);
    const loop = walkRound(start, links, grid, spacing);
    const writer = new StitchWriter();
    for (const [x, y] of evenly(softened(loop), length)) writer.stitch(x, y);
    parts.push(writer.done());
  }
  return joined(parts);
}

/**
 * A grid of lace: lines both ways across a field, each sewn there and back so that it holds when the base is gone. One line
 * runs on into the next.
 *
 * @param spacing distance between lines, mm
 */
export function laceGridStitches(
  field: Path,
  { spacing = 4, length = 2 }: { spacing?: number; length?: number } = {}
): Stitches {
  if (!(spacing > 0)) throw new RangeError('A lace grid needs a spacing above 0 mm.');
  const region = regionOf(field);
  const writer = new StitchWriter();
  let last: Point | null = null;
  for (const angle of [Math.PI / 4, -Math.PI / 4]) {
    for (const [from, to] of hatch(field, angle, spacing)) {
      // Each line ends where it began, beside the next: the machine runs on, and is cut only where the field falls apart.
      if (last && !runsInside(region, last, from)) writer.jump(from[0], from[1]);
      else if (last)
        for (const [x, y] of evenly({ closed: false, points: [last, from] }, length)) writer.stitch(x, y);
      const there = evenly({ closed: false, points: [from, to] }, length);
      for (const [x, y] of [...there, ...there.slice(0, -1).reverse()]) writer.stitch(x, y);
      last = from;
    }
  }
  return writer.done();
}

/**
 * Fill: rows of stitches to and fro across a field.
 *
 * @param spacing distance between rows, mm
 * @param length of a stitch, mm
 * @param angle in which the rows run, degrees
 */
export function fillStitches(
  field: Path,
  { spacing = 0.5, length = 2.9, angle = 0 }: { spacing?: number; length?: number; angle?: number } = {}
): Stitches {
  if (!(spacing > 0)) throw new RangeError('A fill needs a spacing above 0 mm.');
  const writer = new StitchWriter();
  let last: Point | null = null;
  hatch(field, (angle * Math.PI) / 180, spacing).forEach(([from, to], at) => {
    const [start, end] = at % 2 === 0 ? [from, to] : [to, from];
    // A row beside the last is reached by a stitch, one further off by a jump.
    const near = last !== null && Math.hypot(start[0] - last[0], start[1] - last[1]) < 3 * length;
    if (!near) writer.jump(start[0], start[1]);
    for (const [x, y] of evenly({ closed: false, points: [start, end] }, length)) writer.stitch(x, y);
    last = end;
  });
  return writer.done();
}

/**
 * Bars over a cut opening: straight satin columns from edge to edge.
 *
 * @param count how many, spread evenly
 * @param width of each bar, mm
 * @param angle in which they run, degrees
 */
export function barStitches(
  opening: Path,
  { count, width = 1.6, angle = 0 }: { count: number; width?: number; angle?: number }
): Stitches {
  if (!(Number.isInteger(count) && count > 0)) throw new RangeError('Bars need a whole number above 0.');
  // Their ends reach a little over the edge, where the satin round the opening takes them in.
  const reach = inset(opening, -width / 2);
  const turn = (angle * Math.PI) / 180;
  const spread = opening.points.map(([x, y]) => -x * Math.sin(turn) + y * Math.cos(turn));
  const [low, high] = [Math.min(...spread), Math.max(...spread)];
  const bars = Array.from({ length: count }, (_, at) => low + ((high - low) * (at + 0.5)) / count).flatMap(
    (off) => crossings(reach, turn, off)
  );
  return joined(
    bars.map(([from, to]) => satinStitches({ closed: false, points: [from, to] }, { width, underlay: 'run' }))
  );
}

/** Whether the straight way between two edge points of a field lies inside it, or nearly so. */
function runsInside(region: Region, [x1, y1]: Point, [x2, y2]: Point): boolean {
  const tolerance = 1.5;
  return [0.25, 0.5, 0.75].every((share) => {
    const [x, y] = [x1 + (x2 - x1) * share, y1 + (y2 - y1) * share];
    return (
      contains(region, [x, y]) ||
      [
        [tolerance, 0],
        [-tolerance, 0],
        [0, tolerance],
        [0, -tolerance]
      ].some(([dx = 0, dy = 0]) => contains(region, [x + dx, y + dy]))
    );
  });
}

type Segment = [Point, Point];

/** Lines across a field at an angle, from edge to edge. */
function hatch(field: Path, angle: number, spacing: number): Segment[] {
  const offs = field.points.map(([x, y]) => -x * Math.sin(angle) + y * Math.cos(angle));
  const [low, high] = [Math.min(...offs), Math.max(...offs)];
  const count = Math.floor((high - low) / spacing);
  if (count > MOST_CELLS) throw new RangeError('The lines lie too near for a field of this size.');
  const start = low + (high - low - count * spacing) / 2;
  return Array.from({ length: count + 1 }, (_, at) => start + at * spacing).flatMap((off) =>
    crossings(field, angle, off)
  );
}

/** The parts of a straight line that lie inside a closed path. */
function crossings({ points }: Path, angle: number, off: number): Segment[] {
  const [ux, uy] = [Math.cos(angle), Math.sin(angle)];
  const along: number[] = [];
  points.forEach((from, at) => {
    const to = points[(at + 1) % points.length];
    if (!to) return;
    const a = -from[0] * uy + from[1] * ux - off;
    const b = -to[0] * uy + to[1] * ux - off;
    if (a > 0 === b > 0) return;
    const share = a / (a - b);
    const [x, y] = [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share];
    along.push(x * ux + y * uy);
  });
  along.sort((a, b) => a - b);
  const place = (t: number): Point => [t * ux - off * uy, t * uy + off * ux];
  const found: Segment[] = [];
  for (let at = 0; at + 1 < along.length; at += 2) {
    const [from, to] = [along[at] ?? 0, along[at + 1] ?? 0];
    if (to - from > 1) found.push([place(from), place(to)]);
  }
  return found;
}

interface Grid {
  columns: number;
  rows: number;
  centre(column: number, row: number): Point;
}

function gridOf(region: Region, cell: number): Grid {
  const points = region.flat();
  const [minX, maxX] = [Math.min(...points.map(([x]) => x)), Math.max(...points.map(([x]) => x))];
  const [minY, maxY] = [Math.min(...points.map(([, y]) => y)), Math.max(...points.map(([, y]) => y))];
  const columns = Math.max(1, Math.floor((maxX - minX) / cell));
  const rows = Math.max(1, Math.floor((maxY - minY) / cell));
  if (columns * rows > MOST_CELLS) throw new RangeError('The lines lie too near for a field of this size.');
  const left = (minX + maxX) / 2 - (columns * cell) / 2;
  const top = (minY + maxY) / 2 - (rows * cell) / 2;
  return { columns, rows, centre: (column, row) => [left + (column + 0.5) * cell, top + (row + 0.5) * cell] };
}

/** Links of a random tree over the cells that hang together with a start (a walk back where it cannot go on). */
function randomTree(
  start: number,
  open: Set<number>,
  columns: number,
  random: () => number
): Map<number, Set<number>> {
  const links = new Map<number, Set<number>>([[start, new Set()]]);
  const trail = [start];
  open.delete(start);
  while (trail.length > 0) {
    const here = trail.at(-1) ?? start;
    const column = here % columns;
    const next = [
      ...(column > 0 ? [here - 1] : []),
      ...(column < columns - 1 ? [here + 1] : []),
      here - columns,
      here + columns
    ].filter((cell) => open.has(cell));
    const chosen = next[Math.floor(random() * next.length)];
    if (chosen === undefined) trail.pop();
    else {
      open.delete(chosen);
      links.get(here)?.add(chosen);
      links.set(chosen, new Set([here]));
      trail.push(chosen);
    }
  }
  return links;
}

/** The closed walk round a tree of cells, keeping the tree on its left: each cell has four corners, each passed once. */
function walkRound(start: number, links: Map<number, Set<number>>, grid: Grid, spacing: number): Path {
  const quarter = spacing / 2;
  // Corners of a cell in the order of the walk, and the neighbour that lies beyond each of them.
  const corners: [dx: number, dy: number][] = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1]
  ];
  const beyond = [-grid.columns, 1, grid.columns, -1];
  const points: Point[] = [];
  let [cell, corner] = [start, 0];
  do {
    const [x, y] = grid.centre(cell % grid.columns, Math.floor(cell / grid.columns));
    const [dx, dy] = corners[corner] ?? [0, 0];
    points.push([x + dx * quarter, y + dy * quarter]);
    const neighbour = cell + (beyond[corner] ?? 0);
    if (links.get(cell)?.has(neighbour) === true) {
      // Over to the neighbour, to the corner that lies across.
      cell = neighbour;
      corner = (corner + 3) % 4;
    } else corner = (corner + 1) % 4;
  } while (!(cell === start && corner === 0) && points.length <= 4 * MOST_CELLS);
  return { closed: true, points };
}

/** Corners cut twice (Chaikin), so that the walk becomes a wandering curve. */
function softened({ points }: Path): Path {
  let soft = points;
  for (let times = 0; times < 2; times++) {
    soft = soft.flatMap(([x, y], at): Point[] => {
      const [nx, ny] = soft[(at + 1) % soft.length] ?? [x, y];
      return [
        [x + (nx - x) / 4, y + (ny - y) / 4],
        [x + ((nx - x) * 3) / 4, y + ((ny - y) * 3) / 4]
      ];
    });
  }
  return { closed: true, points: soft };
}
