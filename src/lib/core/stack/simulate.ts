import { contains, pointsAlong, type Path, type Point } from '$lib/core/geometry';
import { findLine, findStop, type Item, type StopStep } from '$lib/core/item';
import { hoopAfter } from '$lib/core/sheet';
import { changeLayers, type CutSizes } from './operations';
import { clothOf, EMPTY_STACK, type Layer, type Seam, type StackState, type StackStep } from './state';

/** Share of a path’s points that must lie on a layer before the path is said to stitch it. */
const LEAST_SHARE = 0.05;

/**
 * Simulates the hoop through an item: the layers and seams after every step. A step that cannot be done is marked
 * with the reason and left out; nothing an item says makes the simulation stop.
 *
 * @param cuts cut size of each piece, mm
 * @returns one state a step, in the item’s order
 *
 * @example
 * simulate(badgerTab, sizes).at(-1)?.state.layers.map(({ name }) => name) // ['BACK', 'FRONT']
 */
export function simulate(item: Item, cuts: CutSizes): StackStep[] {
  let state: StackState = EMPTY_STACK;
  return item.steps.map((step): StackStep => {
    const stepId = step.id;
    if (step.kind === 'stop') {
      const { seam, problem } = stitch(state, step, item);
      if (!seam) return { stepId, state, changed: [], problem };
      state = {
        ...state,
        seams: [...state.seams, seam],
        layers: state.layers.map((layer) =>
          seam.layers.includes(layer.pieceId) && seam.layers.length > 1
            ? { ...layer, holds: [...new Set([...layer.holds, 'stitched' as const])] }
            : layer
        )
      };
      return { stepId, state, changed: seam.layers, problem };
    }
    const { layers, changed, problem, aside } = changeLayers(state, step.op, item, cuts);
    state = { ...state, layers, aside: aside ?? state.aside, hoop: hoopAfter(state.hoop, step.op) };
    return { stepId, state, changed, problem };
  });
}

/** A stop joins every layer that lies under its path at that moment, top and bottom. */
function stitch(
  state: StackState,
  step: StopStep,
  item: Item
): { seam: Seam | null; problem: string | null } {
  const stop = findStop(item, step.stopId);
  // A stop the file does not have stitches nothing.
  if (!stop || stop.number === null) return { seam: null, problem: null };
  if (state.layers.length === 0) return { seam: null, problem: 'Nothing is hooped when this stop runs.' };
  const paths = stop.lineIds.flatMap((id) => findLine(item, id)?.path ?? []);
  const layers = state.layers.filter((layer) =>
    paths.length === 0 ? holdsMiddle(layer) : underPaths(layer, paths)
  );
  const seam: Seam = {
    stepId: step.id,
    stopId: stop.id,
    lineIds: stop.lineIds,
    threadId: stop.threadId,
    paths,
    layers: layers.map(({ pieceId }) => pieceId),
    assumed: paths.length === 0
  };
  const problem =
    state.hoop.where === 'on' || state.hoop.where === 'forward'
      ? null
      : 'The hoop is not on the machine when this stop runs.';
  return {
    seam,
    problem: layers.length === 0 ? 'There is nothing under the needle when this stop runs.' : problem
  };
}

function underPaths(layer: Layer, paths: Path[]): boolean {
  const cloth = clothOf(layer);
  const points = paths.flatMap((path) => pointsAlong(path));
  return points.filter((point) => contains(cloth, point)).length >= points.length * LEAST_SHARE;
}

const MIDDLE: Point = [0, 0];
function holdsMiddle(layer: Layer): boolean {
  return contains(clothOf(layer), MIDDLE);
}
