import {
  difference,
  extents,
  isConvex,
  noFit,
  offsetPath,
  type Path,
  pathArea,
  placed,
  type Point,
  type Region,
  simplified
} from '$lib/core/base/geometry';
import type { Placement, Turn } from '$lib/core/documents/order';
import type { Area, CopyOutline } from './types';

/** Copies that just touch must not count as overlapping, mm. */
const TOUCH_MM = 0.02;
/** The most corners of an outline with hollows: a no-fit polygon takes the square of it. */
const CORNERS = 24;

const NOTHING: Path = { closed: true, points: [] };

/** So many copies of one outline. */
export interface Nested {
  outline: CopyOutline;
  count: number;
  part: number;
}

/**
 * Lays outlines into each other: each copy goes to the corner of what is still free that lies furthest to one side,
 * tried with several sides and turns (bottom-left filling with no-fit polygons).
 *
 * @param isWhole only a layout with all copies is wanted: one is given up at the first that finds no place
 * @returns the layout that holds the most copies
 */
export function nest(
  parts: readonly Nested[],
  area: Area,
  gap: number,
  turns: readonly Turn[],
  isWhole = false
): Placement[] {
  const shapes = shapesOf(parts, gap);
  const order = parts
    .map((part, at) => ({ ...part, at }))
    .sort((a, b) => pathArea(b.outline.path) - pathArea(a.outline.path))
    .flatMap(({ at, count }) => Array.from({ length: count }, () => at));
  let best: Placement[] = [];
  for (const allowed of turnSets(turns))
    for (const side of SIDES) {
      const found = fill(order, area, allowed, side, shapes, isWhole);
      if (found.length > best.length) best = found;
      if (best.length === order.length) return named(best, parts);
    }
  return named(best, parts);
}

const named = (placements: Placement[], parts: readonly Nested[]): Placement[] =>
  placements.map((each) => ({ ...each, part: parts[each.part]?.part ?? each.part }));

/** Which free corner comes first. */
const SIDES: readonly ((a: Point, b: Point) => number)[] = [
  ([ax, ay], [bx, by]) => ay - by || ax - bx,
  ([ax, ay], [bx, by]) => ax - bx || ay - by
];

/** Sets of turns to try: one by one, in opposite pairs, and all. */
function turnSets(turns: readonly Turn[]): Turn[][] {
  const pairs: Turn[][] = [
    [0, 180],
    [90, 270]
  ];
  const sets = [...turns.slice(0, 2).map((turn): Turn[] => [turn]), ...pairs, [...turns]]
    .map((set) => set.filter((turn) => turns.includes(turn)))
    .filter(({ length }) => length > 0);
  return [...new Map(sets.map((set) => [set.join(), set])).values()];
}

/** Outlines by part and turn, and where two of them must not lie; each is made once. */
interface Shapes {
  outline: (part: number, turn: Turn) => Path;
  apart: (fixed: { part: number; turn: Turn }, moving: { part: number; turn: Turn }) => Region;
}

function shapesOf(parts: readonly Nested[], gap: number): Shapes {
  const kept = new Map<string, Path>();
  const apart = new Map<string, Region>();
  const outline = (part: number, turn: Turn): Path => placed(parts[part]?.outline.path ?? NOTHING, turn);
  const wide = (part: number, turn: Turn): Path => {
    const key = `${part} ${turn}`;
    const made = kept.get(key) ?? placed(grown(parts[part]?.outline.path ?? NOTHING, gap), turn);
    kept.set(key, made);
    return made;
  };
  return {
    outline,
    apart: (fixed, moving) => {
      const key = [fixed.part, fixed.turn, moving.part, moving.turn].join();
      const made = apart.get(key) ?? noFit(wide(fixed.part, fixed.turn), wide(moving.part, moving.turn));
      apart.set(key, made);
      return made;
    }
  };
}

function fill(
  order: readonly number[],
  area: Area,
  turns: readonly Turn[],
  side: (a: Point, b: Point) => number,
  shapes: Shapes,
  isWhole: boolean
): Placement[] {
  const free = new Map<string, Region>();
  const kinds = [...new Set(order)].flatMap((part) =>
    turns.map((turn) => ({ part, turn, key: `${part} ${turn}` }))
  );
  for (const { part, turn, key } of kinds) free.set(key, innerFit(shapes.outline(part, turn), area));
  const done: Placement[] = [];
  for (const [index, part] of order.entries()) {
    let chosen: { at: Point; turn: Turn } | null = null;
    for (const turn of turns)
      for (const ring of free.get(`${part} ${turn}`) ?? [])
        for (const at of ring) if (!chosen || side(at, chosen.at) < 0) chosen = { at, turn };
    if (!chosen && isWhole) return done;
    if (!chosen) continue;
    const [x, y] = chosen.at;
    done.push({ part, x, y, turn: chosen.turn, mirrored: false });
    const fixed = { part, turn: chosen.turn };
    for (const kind of kinds) {
      if (!order.includes(kind.part, index + 1)) continue;
      const blocked = shapes
        .apart(fixed, kind)
        .map((ring) => ring.map(([px, py]): Point => [px + x, py + y]));
      free.set(kind.key, difference(free.get(kind.key) ?? [], blocked));
    }
  }
  return done;
}

/** Where the middle of a shape may lie so that the shape keeps inside the area. */
function innerFit(shape: Path, area: Area): Region {
  const box = extents(shape);
  const [left, right] = [area.minX - box.minX, area.maxX - box.maxX];
  const [top, bottom] = [area.minY - box.minY, area.maxY - box.maxY];
  if (right < left - TOUCH_MM || bottom < top - TOUCH_MM) return [];
  const [x1, x2] = [Math.min(left, right) - TOUCH_MM / 2, Math.max(left, right) + TOUCH_MM / 2];
  const [y1, y2] = [Math.min(top, bottom) - TOUCH_MM / 2, Math.max(top, bottom) + TOUCH_MM / 2];
  return [
    [
      [x1, y1],
      [x2, y1],
      [x2, y2],
      [x1, y2]
    ]
  ];
}

/** An outline with half the gap round it and few enough corners. */
function grown(path: Path, gap: number): Path {
  let found = offsetPath(path, gap / 2 - TOUCH_MM / 2) ?? path;
  for (let mm = 0.01; found.points.length > (isConvex(found) ? 4 * CORNERS : CORNERS) && mm < 20; mm *= 2) {
    // Simplifying cuts corners off; growing by as much again keeps the copies apart.
    const outer = offsetPath(path, gap / 2 - TOUCH_MM / 2 + mm) ?? path;
    found = simplified(outer, mm);
  }
  return found;
}
