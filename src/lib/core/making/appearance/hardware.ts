import { type Extents, extents, type Path, type Point, segment } from '$lib/core/base/geometry';
import type { OperationOf } from '$lib/core/documents/item';
import type { StackState } from '$lib/core/craft/stack';

type Kind = OperationOf<'hardware'>['kind'];

/** Hardware where it sits on the item. */
export interface Fitting {
  kind: Kind;
  /** mm; of a ring or loop the middle of its lower end, which sits on the item. */
  at: Point;
}

/** Across the widest of each, and how far it reaches over its place, mm; as sold for small goods. */
export const FITTING_SIZES: Record<Kind, { width: number; above: number }> = {
  snap: { width: 11, above: 0 },
  eyelet: { width: 8, above: 0 },
  'split-ring': { width: 25, above: 25 },
  'ribbon-loop': { width: 12, above: 20 },
  'hook-and-loop': { width: 20, above: 0 }
};
/** From the edge of an item on which nothing marks the place, mm. */
const FROM_EDGE = 8;
/** A mark longer than this has hardware at both its ends, mm. */
const ONE_PLACE = 6;

/**
 * The hardware of one face: at its stitched marks, else near the upper edge, where such things sit.
 *
 * @param box what the item takes up, mm
 *
 * @example
 * fittingsOn('front', lastStateOfTheTab, box) // [{ kind: 'split-ring', at: [0, -25] }]
 */
export function fittingsOn(side: 'front' | 'back' | 'inside', state: StackState, box: Extents): Fitting[] {
  if (side === 'inside' || state.hardware.length === 0) return [];
  const marked = marksOf(state);
  const middle = (box.minX + box.maxX) / 2;
  const top: Point = [middle, box.minY + FROM_EDGE];
  const used = new Map<Kind, number>();
  return state.hardware.flatMap((kind): Fitting[] => {
    const nth = used.get(kind) ?? 0;
    used.set(kind, nth + 1);
    switch (kind) {
      case 'snap': {
        // Each snap has two halves, a place for each of them.
        const places = marked.length > 0 ? marked : [top, [middle, box.maxY - FROM_EDGE] satisfies Point];
        return places.slice(2 * nth, 2 * nth + 2).map((at) => ({ kind, at }));
      }
      case 'eyelet':
      case 'split-ring': {
        const at = marked[nth] ?? (nth === 0 ? top : undefined);
        return at ? [{ kind, at }] : [];
      }
      case 'ribbon-loop':
        return nth === 0 ? [{ kind, at: [middle, box.minY] }] : [];
      case 'hook-and-loop':
        return side === 'back' && nth === 0 ? [{ kind, at: [middle, box.minY + 2 * FROM_EDGE] }] : [];
    }
  });
}

/** The box made large enough for hardware that reaches beyond the item. */
export function withFittings(box: Extents, fittings: readonly Fitting[]): Extents {
  const half = (kind: Kind): number => FITTING_SIZES[kind].width / 2;
  const minX = Math.min(box.minX, ...fittings.map(({ kind, at }) => at[0] - half(kind)));
  const maxX = Math.max(box.maxX, ...fittings.map(({ kind, at }) => at[0] + half(kind)));
  const minY = Math.min(box.minY, ...fittings.map(({ kind, at }) => at[1] - FITTING_SIZES[kind].above));
  return { ...box, minX, maxX, minY, width: maxX - minX, height: box.maxY - minY };
}

function marksOf({ seams }: StackState): Point[] {
  return seams.filter(({ role }) => role === 'closure-mark').flatMap(({ paths }) => placesOf(paths));
}

/** Places that a line of marks names: both ends of a long one, else its middle. */
function placesOf(paths: readonly Path[]): Point[] {
  return paths.flatMap((path): Point[] => {
    const [first, last] = [path.points[0], path.points.at(-1)];
    if (!first || !last) return [];
    const { minX, maxX, minY, maxY, width, height } = extents(path);
    return !path.closed && Math.max(width, height) > ONE_PLACE
      ? [first, last]
      : [[(minX + maxX) / 2, (minY + maxY) / 2]];
  });
}

/** Half a stitched mark, mm. */
const MARK = 1;

/** What is stitched of a line of marks: a small cross at each place, nothing between them. */
export function markStitches(paths: readonly Path[]): Path[] {
  return placesOf(paths).flatMap(([x, y]) => [
    segment(x - MARK, y, x + MARK, y),
    segment(x, y - MARK, x, y + MARK)
  ]);
}
