import { pathArea } from '$lib/core/base/geometry';
import type { Placement, Turn } from '$lib/core/documents/order';
import { grids } from './grid';
import { nest } from './nest';
import type { Area, CopyOutline } from './types';

/** Copies laid in a field. */
export interface CopyLayout {
  placements: Placement[];
  /** How they lie: in rows and columns, or nested into each other. */
  how: 'rows' | 'nested';
  /** As many as rows and columns of boxes would hold. */
  inRows: number;
  /** Middle to middle of neighbours where they lie in rows, mm; null where they are nested. */
  pitch: { x: number; y: number } | null;
}

export interface LayOutOptions {
  /** Free space between two copies, mm. */
  gap: number;
  /** The most that is laid. */
  most: number;
  /** Turns a copy may lie in. */
  turns: readonly Turn[];
  /** The machine can only repeat in rows and columns. */
  rowsOnly?: boolean;
}

/** What an exact fit may take off the gap where outlines are nested, mm: nobody lays them closer. */
const SLACK_MM = 0.3;

/** Shapes that fill more of their box than this gain nothing by nesting. */
const BOXY = 0.93;

/**
 * Lays as many copies of one outline in a field as it takes, in rows of boxes, or nested where that holds more.
 *
 * @returns no placements when not even one fits
 *
 * @example
 * layOut(patch60, area130x180, { gap: 20, most: 99, turns: TURNS }).placements.length // 2
 */
export function layOutCopies(
  outline: CopyOutline,
  area: Area,
  { gap, most, turns, rowsOnly = false }: LayOutOptions
): CopyLayout {
  const rows = grids(outline, area, gap, turns, most);
  const inRows = rows.placements.length;
  const wanted = Math.min(most, inRows);
  const asRows: CopyLayout = {
    ...rows,
    placements: middled(rows.placements, wanted, outline, area),
    how: 'rows',
    inRows
  };
  if (rowsOnly || inRows >= most || !couldHoldMore(outline, area, gap, inRows)) return asRows;
  const nested = nest(
    [{ outline, count: Math.min(most, byArea(outline, area, gap)), part: 0 }],
    area,
    gap,
    turns
  );
  return nested.length > inRows ? { placements: nested, how: 'nested', inRows, pitch: null } : asRows;
}

/**
 * Lays copies of several items in one field, the largest first.
 *
 * @returns null when they do not all find a place
 */
export function layOutMixed(
  parts: readonly { outline: CopyOutline; count: number }[],
  area: Area,
  gap: number,
  turns: readonly Turn[]
): Placement[] | null {
  const wanted = parts.reduce((sum, { count }) => sum + count, 0);
  const all = parts.map((each, part) => ({ ...each, part }));
  const needs = parts.reduce((sum, { outline, count }) => sum + count * takesUp(outline, gap), 0);
  if (needs > roomIn(area, gap)) return null;
  for (const apart of [gap, Math.max(0, gap - SLACK_MM)]) {
    const placements = nest(all, area, apart, turns, true);
    if (placements.length === wanted) return placements;
  }
  return null;
}

/** The most copies whose area, with half the gap round each, the field could hold. */
function byArea(outline: CopyOutline, area: Area, gap: number): number {
  return Math.floor(roomIn(area, gap) / takesUp(outline, gap));
}

/** What a copy takes up at least, with half the gap round it, mm². */
function takesUp({ path, width, height }: CopyOutline, gap: number): number {
  // Round each copy lies a rim of half the gap, at least as large as that of its own area as a circle.
  const rim = Math.sqrt(pathArea(path) * Math.PI) * gap + (Math.PI * gap * gap) / 4;
  return Math.min(pathArea(path) + rim, (width + gap) * (height + gap));
}

/** Room in a field for copies with half the gap round each, mm². */
function roomIn({ minX, minY, maxX, maxY }: Area, gap: number): number {
  return (maxX - minX + gap) * (maxY - minY + gap);
}

function couldHoldMore(outline: CopyOutline, area: Area, gap: number, inRows: number): boolean {
  const full = pathArea(outline.path) / (outline.width * outline.height);
  return full <= BOXY && byArea(outline, area, gap) > inRows;
}

/** The first so many of a layout, moved so that they lie about the middle of the area. */
function middled(
  placements: readonly Placement[],
  count: number,
  { width, height }: CopyOutline,
  area: Area
): Placement[] {
  const kept = placements.slice(0, count);
  if (kept.length === placements.length || kept.length === 0) return kept;
  const lying = ({ turn }: Placement): boolean => turn % 180 !== 0;
  const middle = (ends: readonly (readonly [at: number, half: number])[]): number =>
    (Math.min(...ends.map(([at, half]) => at - half)) + Math.max(...ends.map(([at, half]) => at + half))) / 2;
  const x = middle(kept.map((each) => [each.x, (lying(each) ? height : width) / 2]));
  const y = middle(kept.map((each) => [each.y, (lying(each) ? width : height) / 2]));
  const [cx, cy] = [(area.minX + area.maxX) / 2, (area.minY + area.maxY) / 2];
  return kept.map((each) => ({ ...each, x: each.x - x + cx, y: each.y - y + cy }));
}
