import type { Path, Point } from '$lib/core/base/geometry';
import type { Role, Stop } from '$lib/core/documents/item';
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
  let seen = known.get(state);
  if (!seen) known.set(state, (seen = visibleIn(state)));
  return seen;
}

/** What was found of a state, since plan, colours, backs and thread all ask; a state never changes. */
const known = new WeakMap<StackState, Visibility[]>();

function visibleIn(state: StackState): Visibility[] {
  const places = new Map(state.layers.map((layer, at) => [layer.pieceId, { layer, at }]));
  const apart = new Set(state.aside.map(({ pieceId }) => pieceId));
  return state.seams.map((seam, order): Visibility => {
    const seenAt = (thread: ThreadSide | null, outwards: 'up' | 'down'): Face2 => {
      const lies = leftOn(seam, thread, outwards, (id) => places.has(id));
      const place = lies && places.get(lies.pieceId);
      if (!place) {
        // Work of an earlier hooping lies as it was; thread that nothing carries any more stands by itself, as lace,
        // or is lost between the layers over it.
        const free = seam.layers.some((id) => apart.has(id)) || isOpen(seam, state.layers);
        return free ? (outwards === 'up' ? 'front' : 'back') : null;
      }
      const up = (lies.side === 'right') === (place.layer.face === 'up');
      const beyond = up ? state.layers.slice(place.at + 1) : state.layers.slice(0, place.at);
      // A dense edge lies on everything it was stitched through, though its path runs along the very edge of a piece.
      const over = HIDING.includes(seam.role)
        ? beyond.filter(({ pieceId }) => !seam.layers.includes(pieceId))
        : beyond;
      if (!isOpen(seam, over)) return null;
      return up ? 'front' : 'back';
    };
    const covered = state.seams.slice(order + 1).some((later) => hides(later, seam));
    return {
      stepId: seam.stepId,
      stopId: seam.stopId,
      upper: covered ? null : seenAt(seam.upper, 'up'),
      bobbin: covered ? null : seenAt(seam.under, 'down')
    };
  });
}

/**
 * Layers that lie over the upper thread of a step in the end, wherever along its path.
 *
 * @param state the hoop after the last step
 */
export function coversOver(state: StackState, stepId: string): Layer[] {
  const seam = state.seams.find((each) => each.stepId === stepId);
  const lies =
    seam && leftOn(seam, seam.upper, 'up', (id) => state.layers.some(({ pieceId }) => pieceId === id));
  const at = state.layers.findIndex(({ pieceId }) => pieceId === lies?.pieceId);
  const layer = state.layers[at];
  if (!lies || !layer) return [];
  const up = (lies.side === 'right') === (layer.face === 'up');
  return up ? state.layers.slice(at + 1) : state.layers.slice(0, at);
}

/** The layer a thread lies on in the end: the outermost it went through that has not been torn or rinsed away. */
function leftOn(
  { layers, faces }: Seam,
  thread: ThreadSide | null,
  outwards: 'up' | 'down',
  isThere: (pieceId: string) => boolean
): ThreadSide | null {
  if (thread && isThere(thread.pieceId)) return thread;
  const order = layers.map((pieceId, at) => ({ pieceId, face: faces[at] }));
  if (outwards === 'up') order.reverse();
  const left = order.find(({ pieceId }) => isThere(pieceId));
  return left ? { pieceId: left.pieceId, side: left.face === outwards ? 'right' : 'wrong' } : null;
}

/** The two sides together, as a stop’s thread colour must be chosen for. */
export function sidesOf({ upper, bobbin }: Visibility): Stop['visible'] {
  if (upper !== null && bobbin !== null && upper !== bobbin) return 'both';
  return upper ?? bobbin ?? 'hidden';
}

function hides(later: Seam, seam: Seam): boolean {
  return (
    HIDING.includes(later.role) &&
    seam.paths.length > 0 &&
    seam.paths.every((path) => later.paths.some((other) => isSame(path, other)))
  );
}

/** Whether two lines run the same way, though they may be named apart. */
function isSame(a: Path, b: Path): boolean {
  if (a === b) return true;
  return (
    a.points.length === b.points.length &&
    a.points.every(
      ([x, y], at) => Math.hypot(x - (b.points[at]?.[0] ?? NaN), y - (b.points[at]?.[1] ?? NaN)) < 0.5
    )
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
  const samples = paths.map(samplesOf);
  const count = samples.reduce((sum, { length }) => sum + length, 0);
  const every = Math.max(1, Math.ceil(count / MOST_POINTS));
  const points: Point[] = [];
  let before = 0;
  for (const path of samples) {
    for (let at = (every - (before % every)) % every; at < path.length; at += every)
      points.push(path[at] ?? [0, 0]);
    before += path.length;
  }
  return points;
}
