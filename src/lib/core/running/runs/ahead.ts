import { does, traitsOf } from '$lib/core/craft/operations';
import { formatSize } from '$lib/core/base/units';
import type { Thread } from '$lib/core/documents/item';
import type { CutPiece, Plan, PlanStep } from '$lib/core/documents/plan';

/** What stands before the maker from a step on. */
export interface Ahead {
  next: PlanStep | undefined;
  nextStop: PlanStep | undefined;
  /** During a hand step: the thread that goes, or stays, on for the next stop. During a stop: its own. */
  thread: Thread | undefined;
  /** The next piece to be laid after this step, to keep at hand. */
  piece: CutPiece | undefined;
  /** Seconds of this step still to come, below 0 where it takes longer than planned. */
  left: number;
  /** Seconds until hands are needed; 0 during a hand step. */
  untilHands: number;
}

/** A stitch of the stop on the screen that is known, and how long the step had taken then, s. */
export interface KnownStitch {
  stitch: number;
  seconds: number;
}

/**
 * Looks ahead from a step of a plan.
 *
 * A machine with one needle halts after every stop, so hands are needed at the end of the stop that runs; one with several
 * runs through until hands come between. What remains of a stop after a known stitch is what lies after it.
 *
 * @param at index of the step on the screen
 * @param passed seconds already spent in it
 * @param known a stitch of it that was marked, told or gone back to
 *
 * @example
 * lookAhead(tabPlan, tackDown, 0).untilHands // 22 on one needle; 251 on six: the tack-down’s 22 s and the face’s 229 s
 */
export function lookAhead(plan: Plan, at: number, passed: number, known: KnownStitch | null = null): Ahead {
  const step = plan.steps[at];
  const rest = plan.steps.slice(at + 1);
  const laid = rest.flatMap(({ op }) => does(op, 'lay')?.pieceId ?? [])[0];
  const left = step ? leftOf(step, passed, known) : 0;
  let untilHands = 0;
  if (step?.kind === 'stop') {
    untilHands = Math.max(0, left);
    for (const { kind, running } of haltsAtEveryStop(plan, at) ? [] : rest) {
      if (kind === 'hand') break;
      untilHands += running.value;
    }
  }
  return {
    next: rest[0],
    nextStop: rest.find(({ kind }) => kind === 'stop'),
    thread: step?.thread ?? rest.find(({ thread }) => thread !== null)?.thread ?? undefined,
    piece: plan.cuts.find(({ pieceId }) => pieceId === laid),
    left,
    untilHands
  };
}

function leftOf(step: PlanStep, passed: number, known: KnownStitch | null): number {
  const whole = step.running.value + step.hands.value + step.waiting.value;
  const stitches = step.stop?.stitches ?? 0;
  if (!known || stitches === 0) return whole - passed;
  const share = Math.max(0, 1 - known.stitch / stitches);
  return step.running.value * share - (passed - known.seconds);
}

/** Whether the machine stands still after the stop at a step: one needle does, unless its file runs as one colour. */
function haltsAtEveryStop({ machine, steps }: Plan, at: number): boolean {
  if (machine.needles > 1) return false;
  const before = steps
    .slice(0, at + 1)
    .findLast(({ op }) => op?.do === 'one-colour' || op?.do === 'load-file');
  return before?.op?.do !== 'one-colour';
}

/** How long before the end of a stop the maker is called to a machine that will not halt by itself, s. */
export const CALL_AT_S = 30;

/**
 * Whether hands must act after a stop though nothing halts the machine there, as one of several needles runs on. The maker
 * has to catch it by hand.
 *
 * @param at index of the step
 *
 * @example
 * mustCatch(planOnSixNeedles, placementWithoutHalt) // true
 */
export function mustCatch({ steps, machine }: Plan, at: number): boolean {
  const stop = steps[at]?.stop;
  if (!stop || stop.halts || machine.needles === 1 || steps[at + 1]?.kind !== 'hand') return false;
  return steps.slice(at + 1).some((later) => later.stop !== null);
}

/**
 * What to make ready for the next halt: pieces with their sizes, tools, thread and bobbin, in the order they are needed.
 *
 * @param at index of the step on the screen
 *
 * @example
 * toPrepare(tabPlan, tackDown) // ['BACK, 80 × 145 mm', 'tape, 4 strips']
 */
export function toPrepare(plan: Plan, at: number): string[] {
  const start = plan.steps.findIndex(({ kind }, index) => index > at && kind === 'hand');
  if (start < 0) return [];
  const end = plan.steps.findIndex(({ kind }, index) => index > start && kind === 'stop');
  const ready: string[] = [];
  for (const step of plan.steps.slice(start, end < 0 ? undefined : end)) ready.push(...readyFor(step, plan));
  return [...new Set(ready)];
}

function readyFor({ op, title }: PlanStep, { cuts, unit, threads }: Plan): string[] {
  const piece = (id: string): string => {
    const cut = cuts.find(({ pieceId }) => pieceId === id);
    return cut ? `${cut.name}, ${formatSize(cut.cut, unit)}` : id;
  };
  // What goes on, not what is on the needle: a bobbin before a brass edge is not for that wound in brass.
  const goesOn = op && 'threadId' in op ? op.threadId : undefined;
  const thread = threads.find(({ thread: { id } }) => id === goesOn)?.thread.name ?? null;
  return op ? (traitsOf(op.do).ready?.(op, { piece, thread, title }) ?? []) : [];
}
