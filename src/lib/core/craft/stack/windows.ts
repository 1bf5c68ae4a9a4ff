import { does, stepDoes } from '$lib/core/craft/operations';
import { findPiece, findStop, type Item } from '$lib/core/documents/item';
import type { Layer, StackState, StackStep } from './state';
import { liesAt } from './under';

/** A stretch of an item in which an extra file can be stitched on a surface. */
export interface Window {
  /** The piece whose surface takes it. */
  pieceId: string;
  /** Steps after which the file may run, in order; the craft’s own place is the last. */
  after: string[];
}

/**
 * Every window for a name or any other extra stops: the surface is there and tacked, right side up, nothing covers
 * it, no back or lining lies underneath yet, and the work is still in the ring.
 *
 * @returns one window for each stretch; none where it is never possible
 *
 * @example
 * insertWindows(bib, trace)[0]?.after.at(-1) // the step of the quilting: after it the back goes on
 */
export function insertWindows(item: Item, trace: StackStep[]): Window[] {
  const windows: Window[] = [];
  let open: Window | null = null;
  trace.forEach(({ stepId, state, problem }, at) => {
    const step = item.steps[at];
    const surface = problem === null ? surfaceOf(item, state) : undefined;
    if (!surface || !step) {
      open = null;
      return;
    }
    // A file can be left only where the machine stands: after a stop, or after hand work before the next one.
    const later = item.steps
      .slice(at + 1)
      .some((next) => next.kind === 'stop' || stepDoes(next, 'unclamp') !== null);
    if (!later) return;
    if (open?.pieceId === surface.pieceId) open.after.push(stepId);
    else {
      open = { pieceId: surface.pieceId, after: [stepId] };
      windows.push(open);
    }
  });
  return windows;
}

function surfaceOf(item: Item, state: StackState): Layer | undefined {
  const { layers, hoop } = state;
  if (hoop.turned || (hoop.where !== 'on' && hoop.where !== 'forward')) return undefined;
  const at = layers.findLastIndex((layer) => liesAt(layer, [0, 0]));
  const top = layers[at];
  if (!top || findPiece(item, top.pieceId)?.shows !== 'front' || top.face !== 'up') return undefined;
  const firm = top.holds.some((hold) => hold !== 'tape' && hold !== 'pins');
  const backed = layers.some(({ pieceId }) => {
    const shows = findPiece(item, pieceId)?.shows;
    return shows === 'back' || shows === 'lining';
  });
  return firm && !backed ? top : undefined;
}

/** Where a file is left and taken up again. */
export interface Leaving {
  /** The machine’s number of the stop after which the file is left; null before the first. */
  leaveAfter: number | null;
  /** The number of the stop to go to afterwards; null where none is left. */
  resumeAt: number | null;
  /** The file does not halt there, so the maker has to catch the machine. */
  catchIt: boolean;
}

/**
 * Where to leave the file for a run after a step, and which stop to go to afterwards.
 *
 * @param needles needles of the machine: a single needle halts at every stop
 */
export function leavingAt(item: Item, afterStepId: string, needles: number): Leaving {
  const at = item.steps.findIndex(({ id }) => id === afterStepId);
  const stopAt = (index: number): ReturnType<typeof findStop> => {
    const step = item.steps[index];
    return step?.kind === 'stop' ? findStop(item, step.stopId) : undefined;
  };
  const before = item.steps.slice(0, at + 1).findLastIndex(({ kind }) => kind === 'stop');
  const next = item.steps.findIndex(({ kind }, index) => index > at && kind === 'stop');
  const left = stopAt(before);
  // Hands that follow the stop have it halt already.
  const handsBetween = item.steps
    .slice(before + 1, at + 1)
    .some((step) => step.kind === 'hand' && does(step.op, 'stitch') === null);
  return {
    leaveAfter: left?.number ?? null,
    resumeAt: stopAt(next)?.number ?? null,
    catchIt: needles > 1 && left !== undefined && !left.halts && !handsBetween
  };
}
