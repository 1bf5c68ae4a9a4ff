import {
  extents,
  intersection,
  offsetPath,
  type Path,
  placed,
  regionArea,
  regionOf,
  shifted
} from '$lib/core/base/geometry';
import { formatLength, type LengthUnit } from '$lib/core/base/units';
import type { Placement } from '$lib/core/documents/order';
import type { Area, CopyOutline } from '$lib/core/solvers/nesting';

/** Something a trace of the hoop would show. */
export interface HoopFinding {
  id: 'outside' | 'overlap' | 'too-close' | 'under-stitches';
  severity: 'stop' | 'warn';
  text: string;
  /** Which placements, from 0. */
  at: number[];
}

/** What is forgiven, mm. */
const LEAST_MM = 0.05;
/** What counts as lying on each other, mm². */
const LEAST_MM2 = 0.01;

/** The outline of a copy where it lies. */
export function outlineAt({ path }: Pick<CopyOutline, 'path'>, { x, y, turn, mirrored }: Placement): Path {
  return shifted(placed(path, turn, mirrored), x, y);
}

/**
 * What a trace would show of copies in a hoop: stitches outside what the needles reach, copies on each other, copies
 * closer than the gap, and pieces of one that would be caught by the stitches of the next.
 *
 * @param outlines of each part
 * @param gap wanted between two copies, mm
 *
 * @example
 * traceHoop([patch60], [{ part: 0, x: 40, y: 0, turn: 0, mirrored: false }], area100, 20, 'mm')[0]?.id // 'outside'
 */
export function traceHoop(
  outlines: readonly CopyOutline[],
  placements: readonly Placement[],
  area: Area,
  gap: number,
  unit: LengthUnit
): HoopFinding[] {
  const paths = placements.map((each) => {
    const outline = outlines[each.part];
    return outline ? outlineAt(outline, each) : null;
  });
  const found: HoopFinding[] = [];
  paths.forEach((path, at) => {
    const over = path ? beyond(path, area) : 0;
    if (over > LEAST_MM)
      found.push({
        id: 'outside',
        severity: 'stop',
        text: `Copy ${at + 1} reaches ${formatLength(over, unit)} beyond what the needle reaches. Move it in, or it strikes the ring.`,
        at: [at]
      });
    for (let other = at + 1; other < paths.length; other++) {
      const next = paths[other];
      if (!path || !next) continue;
      const finding = between(path, next, at, other, gap, reachOf(at, other), unit);
      if (finding) found.push(finding);
    }
  });
  return found;

  function reachOf(a: number, b: number): number {
    return Math.max(...[a, b].map((at) => outlines[placements[at]?.part ?? 0]?.reach ?? 0));
  }
}

function beyond(path: Path, area: Area): number {
  const box = extents(path);
  return Math.max(area.minX - box.minX, area.minY - box.minY, box.maxX - area.maxX, box.maxY - area.maxY, 0);
}

function between(
  a: Path,
  b: Path,
  at: number,
  other: number,
  gap: number,
  reach: number,
  unit: LengthUnit
): HoopFinding | null {
  const two = `Copies ${at + 1} and ${other + 1}`;
  // What only touches lies beside it.
  if (reaches(a, b, -LEAST_MM))
    return { id: 'overlap', severity: 'stop', text: `${two} lie on each other.`, at: [at, other] };
  if (reach > LEAST_MM && reaches(a, b, reach - LEAST_MM))
    return {
      id: 'under-stitches',
      severity: 'warn',
      text: `${two} lie so close that a piece of one, ${formatLength(reach, unit)} larger than its line, is caught by the stitches of the other. Lay one piece over both, or move them apart.`,
      at: [at, other]
    };
  if (gap > LEAST_MM && reaches(a, b, gap - LEAST_MM))
    return {
      id: 'too-close',
      severity: 'warn',
      text: `${two} lie closer than the gap of ${formatLength(gap, unit)}.`,
      at: [at, other]
    };
  return null;
}

/** Whether one path grown by a distance lies on the other. */
function reaches(a: Path, b: Path, mm: number): boolean {
  const [boxA, boxB] = [extents(a), extents(b)];
  if (boxA.minX - mm > boxB.maxX || boxB.minX - mm > boxA.maxX) return false;
  if (boxA.minY - mm > boxB.maxY || boxB.minY - mm > boxA.maxY) return false;
  const grown = mm === 0 ? a : (offsetPath(a, mm) ?? a);
  return regionArea(intersection(regionOf(grown), regionOf(b))) > LEAST_MM2;
}
