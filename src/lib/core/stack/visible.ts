import type { Point } from '$lib/core/geometry';
import type { Role, Stop } from '$lib/core/item';
import type { Layer, Seam, StackState, ThreadSide } from './state';
import { liesAt, samplesOf } from './under';

/** Roles so dense that nothing shows through them. */
const HIDING: readonly Role[] = ['satin-edge', 'applique-edge'];
/** Share of a path that must lie open before its thread counts as seen. */
const LEAST_OPEN = 0.3;
/** Points of a path that are looked at. */
const MOST_POINTS = 24;

/** Where the threads of a stitched step are seen on the finished item. */
export interface Visibility {
  stepId: string;
  stopId: string | null;
  upper: Face2;
  bobbin: Face2;
}
type Face2 = 'front' | 'back' | null;

/**
 * Which threads show where in the end: the upper thread lies on the topmost layer a stop went through, the bobbin
 * thread under the lowest, and each is seen where no other layer and no dense edge lies over it.
 *
 * @param state the hoop after the last step
 * @returns one line a seam, in the order of stitching
 */
export function visibleThreads(state: StackState): Visibility[] {
  const places = new Map(state.layers.map((layer, at) => [layer.pieceId, { layer, at }]));
  return state.seams.map((seam, order): Visibility => {
    const seenAt = (thread: ThreadSide | null): Face2 => {
      const place = thread && places.get(thread.pieceId);
      if (!place) return null;
      const up = (thread.side === 'right') === (place.layer.face === 'up');
      const over = up ? state.layers.slice(place.at + 1) : state.layers.slice(0, place.at);
      if (!isOpen(seam, over)) return null;
      return up ? 'front' : 'back';
    };
    const covered = state.seams.slice(order + 1).some((later) => hides(later, seam));
    return {
      stepId: seam.stepId,
      stopId: seam.stopId,
      upper: covered ? null : seenAt(seam.upper),
      bobbin: covered ? null : seenAt(seam.under)
    };
  });
}

/** The two sides together, as a stop’s thread colour must be chosen for. */
export function sidesOf({ upper, bobbin }: Visibility): Stop['visible'] {
  if (upper !== null && bobbin !== null && upper !== bobbin) return 'both';
  return upper ?? bobbin ?? 'hidden';
}

function hides(later: Seam, seam: Seam): boolean {
  return (
    HIDING.includes(later.role) &&
    seam.lineIds.length > 0 &&
    seam.lineIds.every((id) => later.lineIds.includes(id))
  );
}

function isOpen(seam: Seam, over: Layer[]): boolean {
  if (over.length === 0) return true;
  const points = pointsOf(seam);
  const open = points.filter((point) => !over.some((layer) => liesAt(layer, point))).length;
  return open >= points.length * LEAST_OPEN;
}

function pointsOf({ paths, assumed }: Seam): Point[] {
  if (assumed) return [[0, 0]];
  const all = paths.flatMap(samplesOf);
  const every = Math.max(1, Math.ceil(all.length / MOST_POINTS));
  return all.filter((_, at) => at % every === 0);
}
