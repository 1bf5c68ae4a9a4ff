import { does, hoopAfter, isKindOf, isNamedFor, stepDoes } from '$lib/core/craft/operations';
import type { HandStep, Operation, Piece, Role, Step, Stop } from '$lib/core/documents/item';
import { HOOP_AT_START, type HoopState } from '$lib/core/documents/plan';
import type { Built } from './remarks';

/** Hand work that belongs to the stop before it: a stop that nobody expected comes after it. */
const FOLLOWS: readonly Operation['do'][] = [
  'trim',
  'cut-away-behind',
  'cut-through',
  'patch-hole',
  'untape',
  'unpin',
  'flip',
  'press',
  'fuse',
  'snip',
  'hoop-off',
  'hoop-on',
  'frame-back'
];
/** What is stitched on a surface comes before that surface is covered. */
const ON_SURFACE: readonly Role[] = [
  'decoration',
  'lettering',
  'quilting',
  'applique-edge',
  'satin-edge',
  'topstitch',
  'lace',
  'lace-underlay'
];

/**
 * Puts rows of a chart that no expected stop takes into the steps: after the stop before them and the hand work that
 * belongs to it, with the hoop on the machine and its front up, and never before a piece they are named for is laid.
 */
export function placeExtras(steps: Step[], extras: Built['extras'], pieces: readonly Piece[]): Step[] {
  return extras.reduce((now, { stop, after }) => placed(now, stop, after, pieces), steps);
}

function placed(steps: Step[], stop: Stop, after: Stop | undefined, pieces: readonly Piece[]): Step[] {
  const states = hoopStates(steps);
  const start = after ? steps.findIndex((step) => step.kind === 'stop' && step.stopId === after.id) : -1;
  const first = steps.findIndex((step) => step.kind === 'stop');
  const at = start < 0 ? Math.max(0, first) : placeAfter(steps, states, start, stop, pieces);
  const between = steps
    .slice(start + 1, at)
    .filter(
      (step): step is HandStep => step.kind === 'hand' && isKindOf(step.op, ({ order }) => order === 'work')
    );
  const step: Step = {
    kind: 'stop',
    id: stop.id,
    hoopingId: steps[at - 1]?.hoopingId ?? steps[0]?.hoopingId ?? 'hooping-1',
    needs: start < 0 ? [] : between.map(({ id }) => id),
    note: '',
    stopId: stop.id,
    pass: 1
  };
  return [...steps.slice(0, at), step, ...steps.slice(at)];
}

/** The index at which a stop goes that follows the stop at `start`. */
function placeAfter(
  steps: Step[],
  states: HoopState[],
  start: number,
  stop: Stop,
  pieces: readonly Piece[]
): number {
  const canStitch = (index: number): boolean => {
    const state = states[index];
    return state?.where === 'on' && !state.turned;
  };
  const laid = layOfNamed(steps, stop, pieces);
  const from = laid > start ? laid : start;
  let place = from + 1;
  for (let at = from + 1; at <= steps.length; at++) {
    if (canStitch(at - 1)) place = at;
    const step = steps[at];
    if (step?.kind !== 'hand' || does(step.op, 'unclamp') !== null) break;
    if (laid <= start && ON_SURFACE.includes(stop.role) && !FOLLOWS.includes(step.op.do)) break;
  }
  return place;
}

/** The hoop after each step. */
function hoopStates(steps: Step[]): HoopState[] {
  let state = HOOP_AT_START;
  return steps.map((step) => (state = step.kind === 'hand' ? hoopAfter(state, step.op) : state));
}

/** The step that lays the piece a tack-down is named for; -1 where it is named for none. */
function layOfNamed(steps: Step[], stop: Stop, pieces: readonly Piece[]): number {
  if (stop.role !== 'tack-down') return -1;
  return steps.findIndex((step) => {
    const piece = pieces.find(({ id }) => id === stepDoes(step, 'lay')?.pieceId);
    return piece !== undefined && isNamedFor(stop.name, piece.name);
  });
}
