import type { CutPiece } from '$lib/core/cutting';
import type { Thread } from '$lib/core/item';
import type { Plan, PlanStep } from '$lib/core/plan';

/** What stands before the maker from a step on. */
export interface Ahead {
  next: PlanStep | undefined;
  nextStop: PlanStep | undefined;
  /** During a hand step: the thread that goes, or stays, on for the next stop. During a stop: its own. */
  thread: Thread | undefined;
  /** The next piece to be laid after this step, to keep at hand. */
  piece: CutPiece | undefined;
  /** Seconds until hands are needed; 0 during a hand step. */
  untilHands: number;
}

/**
 * Looks ahead from a step of a plan.
 *
 * @param at index of the step on the screen
 * @param passed seconds already spent in it
 *
 * @example
 * lookAhead(tabPlan, tackDown, 0).untilHands // 251: the tack-down’s 22 s and the face’s 229 s
 */
export function lookAhead(plan: Plan, at: number, passed: number): Ahead {
  const step = plan.steps[at];
  const rest = plan.steps.slice(at + 1);
  const lay = rest.find(({ op }) => op?.do === 'lay')?.op;
  let untilHands = 0;
  if (step?.kind === 'stop') {
    untilHands = Math.max(0, step.running.value - passed);
    for (const { kind, running } of rest) {
      if (kind === 'hand') break;
      untilHands += running.value;
    }
  }
  return {
    next: rest[0],
    nextStop: rest.find(({ kind }) => kind === 'stop'),
    thread: step?.thread ?? rest.find(({ thread }) => thread !== null)?.thread ?? undefined,
    piece: lay?.do === 'lay' ? plan.cuts.find(({ pieceId }) => pieceId === lay.pieceId) : undefined,
    untilHands
  };
}

/**
 * Seconds still to do from a step of a plan on, by kind.
 *
 * @param at index of the first step that is not done
 *
 * @example
 * timesFrom(tabPlan, 0) // { hands: 1095.2, needle: 492, waiting: 0 }
 */
export function timesFrom(plan: Plan, at: number): { hands: number; needle: number; waiting: number } {
  const left = { hands: 0, needle: 0, waiting: 0 };
  for (const { hands, running, waiting } of plan.steps.slice(at)) {
    left.hands += hands.value;
    left.needle += running.value;
    left.waiting += waiting.value;
  }
  return left;
}
