import { does } from '$lib/core/craft/operations';
import { findThread } from '$lib/core/documents/item';
import type { PlanStep } from '$lib/core/documents/plan';
import { broughtStep, type HoopingContext, withPart } from './repeated';
import type { PhasedStep } from './stages';

/**
 * Changes the bobbin where it would not last: before a stop where it must not run out, else in the stop, where it does run
 * out. A hooping is planned as beginning with a full bobbin: the schedule changes it before the start where less is left than
 * the hooping needs. A stop that takes more than a full bobbin gets its further changes in the middle of it.
 *
 * @param heads that stitch together; each has its bobbin
 */
export function withBobbins(
  steps: readonly PhasedStep[],
  heads: number,
  context: HoopingContext
): PhasedStep[] {
  const { bobbinMetres } = context;
  let left = context.bobbinLeft ?? bobbinMetres;
  return steps.flatMap((each, at): PhasedStep[] => {
    const { op, stop } = each.step;
    if (does(op, 'wind') !== null) left = bobbinMetres;
    if (!stop) return [each];
    const next = nextBobbin(left, stop, bobbinMetres);
    left = next.left;
    if (next.before + next.inside === 0) return [each];
    const colour = colourFrom(steps.slice(at), context);
    const own =
      next.inside > 0
        ? { ...each, step: changedInside(each.step, next.inside, colour, heads, context) }
        : each;
    return next.before > 0
      ? [{ ...each, step: changedBefore(each.step, colour, heads, context) }, own]
      : [own];
  });
}

/** The thread a bobbin must be wound with for a stop and those after it; undefined where any will do. */
function colourFrom(steps: readonly PhasedStep[], { matching }: HoopingContext): string | undefined {
  for (const { step } of steps) {
    if (does(step.op, 'wind') !== null) return undefined;
    if (step.stop && step.thread && matching.has(step.itemStepId ?? '')) return step.thread.id;
  }
  return undefined;
}

function changedBefore(
  stop: PlanStep,
  threadId: string | undefined,
  heads: number,
  context: HoopingContext
): PlanStep {
  const name = threadId && findThread(context.item, threadId)?.name;
  return broughtStep(
    stop,
    {
      id: `bobbin-before-${stop.id}`,
      mark: 'bobbin',
      title: name ? `Change the bobbin: ${name}` : 'Change the bobbin',
      detail: 'So that it does not run out where it would show.',
      op: { do: 'bobbin', ...(threadId && { threadId }) }
    },
    [{ key: 'bobbin', times: heads, seconds: context.shop.hands.bobbin * heads }],
    context
  );
}

/** A stop in which the bobbin runs out so often: the machine stands still for it, and goes on. */
function changedInside(
  stop: PlanStep,
  times: number,
  threadId: string | undefined,
  heads: number,
  context: HoopingContext
): PlanStep {
  const name = threadId && findThread(context.item, threadId)?.name;
  const often = times === 1 ? 'once' : `${times} times`;
  const said = `The bobbin runs out in it ${often}: put in a full one${name ? ` in ${name}` : ''} there, and go on.`;
  return {
    ...withPart(
      stop,
      { key: 'bobbin', times: times * heads, seconds: context.shop.hands.bobbin * times * heads },
      context
    ),
    note: [stop.note, said].filter(Boolean).join(' ')
  };
}

/** What a stop asks of the bobbin. */
interface BobbinNeed {
  bobbinMetres: number;
  protected: boolean;
}

/**
 * Changes a stop needs, before it and in the middle of it, and what is left after it. Inside an unprotected stop a bobbin may
 * run out and is used up; before a protected one it comes off with what is on it.
 */
function nextBobbin(
  left: number,
  stop: BobbinNeed,
  full: number
): { before: number; inside: number; left: number } {
  const needs = stop.bobbinMetres;
  if (left >= needs) return { before: 0, inside: 0, left: left - needs };
  const kept = stop.protected ? 0 : left;
  const changes = Math.max(1, Math.ceil((needs - kept) / full));
  const before = stop.protected ? 1 : 0;
  return { before, inside: changes - before, left: full * changes + kept - needs };
}

/**
 * Thread left on the bobbin after a hooping that began with a full one, or with so much, m.
 *
 * @example
 * bobbinAfter([{ bobbinMetres: 25, protected: true }, { bobbinMetres: 30, protected: true }], 40) // 10
 */
export function bobbinAfter(stops: readonly BobbinNeed[], full: number, from = full): number {
  return stops.reduce((left, stop) => nextBobbin(left, stop, full).left, from);
}
