import { type Path, pathLength, type Point } from '$lib/core/base/geometry';

/** Turns sharper than this are corners: a stitch ends there, radians. */
const CORNER = Math.PI / 5;

/** A place on a path with the direction across it, to the left of the way the path goes (y down). */
export interface PathPlace {
  x: number;
  y: number;
  nx: number;
  ny: number;
}

/** The corners of a path one after another, the first again at the end of a closed one, doubled points left out. */
function cornersOf({ points, closed }: Path): Point[] {
  const [first] = points;
  const all = closed && first ? [...points, first] : points;
  return all.filter(
    ([x, y], at) => at === 0 || Math.hypot(x - (all[at - 1]?.[0] ?? 0), y - (all[at - 1]?.[1] ?? 0)) > 1e-9
  );
}

/**
 * Points along a path at even distances, no further apart than a step, every corner among them.
 *
 * @param step mm
 *
 * @example
 * evenly(segment(0, 0, 10, 0), 2.5).length // 5
 */
export function evenly(path: Path, step: number): Point[] {
  const points = cornersOf(path);
  const [first] = points;
  if (!first) return [];
  const found: Point[] = [first];
  let run: Point[] = [first];
  for (let at = 1; at < points.length; at++) {
    const here = points[at];
    if (!here) break;
    run.push(here);
    if (at === points.length - 1 || isCorner(points[at - 1], here, points[at + 1])) {
      found.push(...divided(run, step));
      run = [here];
    }
  }
  return found;
}

/** A run of points divided into equal parts along its length, its start left out. */
function divided(run: Point[], step: number): Point[] {
  const length = pathLength({ closed: false, points: run });
  // A hair above a whole number of steps is that number, not one more.
  const parts = Math.max(1, Math.ceil(length / step - 1e-6));
  const found: Point[] = [];
  let passed = 0;
  let next = 1;
  for (let at = 1; at < run.length; at++) {
    const [from, to] = [run[at - 1], run[at]];
    if (!from || !to) break;
    const side = Math.hypot(to[0] - from[0], to[1] - from[1]);
    while (next < parts && (length * next) / parts <= passed + side) {
      const share = side === 0 ? 0 : ((length * next) / parts - passed) / side;
      found.push([from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]);
      next++;
    }
    passed += side;
  }
  const last = run.at(-1);
  if (last) found.push(last);
  return found;
}

function isCorner(before: Point | undefined, here: Point, after: Point | undefined): boolean {
  return before !== undefined && after !== undefined && Math.abs(turnAt(before, here, after)) > CORNER;
}

/** The angle by which a path turns at a point, radians. */
function turnAt(before: Point, here: Point, after: Point): number {
  const turn =
    Math.atan2(after[1] - here[1], after[0] - here[0]) - Math.atan2(here[1] - before[1], here[0] - before[0]);
  return Math.atan2(Math.sin(turn), Math.cos(turn));
}

/**
 * Places along a path for a column of stitches across it, so near each other that on neither side two of them are
 * further apart than the spacing: round a corner they fan out.
 *
 * @param half half the width of the column, mm
 * @param spacing greatest distance between two neighbours on the outer side, mm
 */
export function stations(path: Path, half: number, spacing: number): PathPlace[] {
  const points = cornersOf(path);
  const closed = path.closed;
  const rough: PathPlace[] = [];
  const sides = points.length - 1;
  for (let at = 0; at < points.length; at++) {
    const here = points[at];
    const before = points[at - 1] ?? (closed ? points[sides - 1] : undefined);
    const after = points[at + 1] ?? (closed ? points[1] : undefined);
    if (!here) break;
    const into = before && normal(before, here);
    const out = after && normal(here, after);
    // The start of a closed column is its end as well: one half of the turn belongs to each.
    const first = at === 0 ? (into && out && closed ? between(into, out, 0.5) : (out ?? into)) : into;
    const last = at === sides ? (into && out && closed ? between(into, out, 0.5) : undefined) : out;
    for (const across of [first, last])
      if (across) rough.push({ x: here[0], y: here[1], nx: across[0], ny: across[1] });
  }
  return spread(rough, half, spacing);
}

/** Places at even distances of what the outer end of a stitch travels from the first station to the last. */
function spread(rough: PathPlace[], half: number, spacing: number): PathPlace[] {
  const travelled = [0];
  for (let at = 1; at < rough.length; at++) {
    const [from, to] = [rough[at - 1], rough[at]];
    travelled.push((travelled[at - 1] ?? 0) + (from && to ? furthest(from, to, half) : 0));
  }
  const total = travelled.at(-1) ?? 0;
  const parts = Math.max(1, Math.ceil(total / spacing - 1e-6));
  const found: PathPlace[] = [];
  let at = 1;
  for (let part = 0; part <= parts; part++) {
    const place = (total * part) / parts;
    while (at < rough.length - 1 && (travelled[at] ?? 0) < place) at++;
    const [from, to] = [rough[at - 1], rough[at]];
    if (!from || !to) break;
    const start = travelled[at - 1] ?? 0;
    const way = (travelled[at] ?? 0) - start;
    const share = way === 0 ? 0 : (place - start) / way;
    const [nx, ny] = between([from.nx, from.ny], [to.nx, to.ny], share);
    found.push({ x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share, nx, ny });
  }
  return found;
}

/** How far the ends of a stitch across move from one place to the next, on the side where it is more. */
function furthest(a: PathPlace, b: PathPlace, half: number): number {
  const side = (to: number): number =>
    Math.hypot(b.x + b.nx * to - a.x - a.nx * to, b.y + b.ny * to - a.y - a.ny * to);
  // Where it turns on the spot its end goes along an arc.
  const turn = Math.abs(Math.atan2(a.nx * b.ny - a.ny * b.nx, a.nx * b.nx + a.ny * b.ny));
  return Math.max(side(half), side(-half), turn * half);
}

function normal(from: Point, to: Point): Point {
  const length = Math.hypot(to[0] - from[0], to[1] - from[1]);
  return [(to[1] - from[1]) / length, -(to[0] - from[0]) / length];
}

/** A direction between two, turned the short way. */
function between(a: Point, b: Point, share: number): Point {
  const from = Math.atan2(a[1], a[0]);
  const turn = Math.atan2(b[1], b[0]) - from;
  const angle = from + Math.atan2(Math.sin(turn), Math.cos(turn)) * share;
  return [Math.cos(angle), Math.sin(angle)];
}
