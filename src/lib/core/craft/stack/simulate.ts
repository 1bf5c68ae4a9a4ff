import { does, hoopAfter } from '$lib/core/craft/operations';
import type { Item, Step } from '$lib/core/documents/item';
import type { CutSizes } from './layer';
import { changeLayers } from './operations';
import { EMPTY_STACK, type StackState, type StackStep } from './state';
import { stitchRun, stitchStop, type StopStitched } from './stitching';

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
    const done = simulateStep(state, step, item, cuts);
    ({ state } = done);
    return done;
  });
}

/** The hoop after one more step. */
export function simulateStep(state: StackState, step: Step, item: Item, cuts: CutSizes): StackStep {
  const stepId = step.id;
  const stitched = (done: StopStitched): StackStep => ({
    stepId,
    state: withSeam(state, done),
    changed: done.seam?.layers ?? [],
    problem: done.problem
  });
  if (step.kind === 'stop') return stitched(stitchStop(state, step, item));
  const run = does(step.op, 'stitch')?.run;
  if (run) return stitched(stitchRun(state, step, run, item));
  const { layers, changed, problem, ...rest } = changeLayers(state, step.op, item, cuts);
  const next: StackState = {
    ...state,
    layers,
    aside: rest.aside ?? state.aside,
    bobbin: rest.bobbin === undefined ? state.bobbin : rest.bobbin,
    needle: rest.needle ?? state.needle,
    hoop: hoopAfter(state.hoop, step.op),
    // What is clamped anew lies flat.
    turns: does(step.op, 'clamp') ? 0 : state.turns + (rest.turned ? 1 : 0),
    hardware: rest.hardware ?? state.hardware
  };
  return { stepId, state: next, changed, problem };
}

function withSeam(state: StackState, { seam }: StopStitched): StackState {
  if (!seam) return state;
  const joins = seam.layers.length > 1;
  return {
    ...state,
    seams: [...state.seams, seam],
    layers: state.layers.map((layer) =>
      joins && seam.layers.includes(layer.pieceId) && !layer.holds.includes('stitched')
        ? { ...layer, holds: [...layer.holds, 'stitched' as const] }
        : layer
    )
  };
}
