import { does, hoopMove, isKindOf } from '$lib/core/craft/operations';
import type { PlanStep } from '$lib/core/documents/plan';
import type { Way } from '$lib/core/documents/run';
import { threadsOn } from '$lib/core/making/plan';
import { threadChanges } from '$lib/core/solvers/needles';
import { withBobbins } from './bobbins';
import {
  broughtStep,
  handsRepeated,
  stopRepeated,
  stopWithNeedle,
  withJump,
  type HoopingContext
} from './repeated';
import { type Copies, type HoopingPart, isOnce, type PhasedStep, type Stage } from './stages';

/**
 * Copies that one head stitches one after another.
 *
 * @example
 * copiesPerHead({ total: 20, heads: 6 }) // 4
 */
export function copiesPerHead({ total, heads }: Copies): number {
  return Math.ceil(total / heads);
}

/**
 * The steps of a hooping of several copies, in the order of a way to stitch them. Stops of all copies run as one where
 * they go colour by colour; copy by copy, all that takes the machine is done again for each copy. Threads and bobbins
 * are changed where that order needs it.
 *
 * @example
 * hoopingSteps(tabStage, { total: 3, heads: 1 }, 'colour-by-colour', context)
 *   .filter(({ step }) => step.op?.do === 'thread').length // 4
 */
export function hoopingSteps(stage: Stage, copies: Copies, way: Way, context: HoopingContext): PhasedStep[] {
  const each = copiesPerHead(copies);
  const of = (phase: HoopingPart): PlanStep[] =>
    stage.steps.filter((phased) => phased.phase === phase).map(({ step }) => step);
  const all = (step: PlanStep, phase: HoopingPart): PhasedStep => ({
    step: forAll(step, copies, context),
    phase
  });
  const onMachine = of('machine');
  const machine =
    each === 1 || way === 'colour-by-colour'
      ? onMachine.map((step) => all(step, 'machine'))
      : copyByCopy(onMachine, copies, way, context);
  return [
    ...of('load').map((step) => all(step, 'load')),
    ...withBobbins(withThreads(machine, copies.heads, context), copies.heads, context),
    ...of('off').map((step) => all(step, 'off')),
    ...of('finish').map((step) => all(step, 'finish'))
  ];
}

/** Whether a line-only file can stitch the first placement line of all copies. */
export function hasLinesFirst(stage: Stage): boolean {
  const machine = stage.steps.flatMap(({ step, phase }) => (phase === 'machine' ? step : []));
  return laidFirst(machine) !== null;
}

function copyByCopy(
  machine: readonly PlanStep[],
  copies: Copies,
  way: Way,
  context: HoopingContext
): PhasedStep[] {
  const linesFirst = way === 'lines-first' ? laidFirst(machine) : null;
  const from = linesFirst ?? machine.findIndex((step) => !isOnce(step));
  const to = hoopMove(machine.at(-1)?.op) === 'off' ? machine.length - 1 : machine.length;
  const all = (step: PlanStep): PlanStep => forAll(step, copies, context);
  const each = copiesPerHead(copies);
  const first = machine.findIndex(({ kind }, at) => at >= from && kind === 'stop');
  const rounds = Array.from({ length: each }, (_, at) => at + 1).flatMap((copy): PlanStep[] => {
    // The last round of heads that stitch together may have fewer copies.
    const round = {
      total: Math.min(copies.heads, copies.total - (copy - 1) * copies.heads),
      heads: copies.heads
    };
    const own = machine.slice(from, to).map((step, at): PlanStep => ({
      ...forAll(
        copy > 1 && from + at === first ? withJump(step, round.total, context) : step,
        round,
        context
      ),
      id: copy === 1 ? step.id : `${step.id}~${copy}`,
      title: `${step.title}, copy ${copy}`
    }));
    return linesFirst === null || !own[0] ? own : [pastLines(own[0], copy, context), ...own];
  });
  return [...machine.slice(0, from).map(all), ...rounds, ...machine.slice(to).map(all)].map((step) => ({
    step,
    phase: 'machine'
  }));
}

/** Steps up to the last piece laid on the first placement line: what a line-only file and one halt do for all copies. */
function laidFirst(machine: readonly PlanStep[]): number | null {
  const first = machine.findIndex(({ kind }) => kind === 'stop');
  const stop = machine[first]?.stop;
  if (stop?.role !== 'placement' || !stop.halts) return null;
  const next = machine.findIndex(({ kind }, at) => at > first && kind === 'stop');
  return next < 0 ? null : next;
}

/** A step for all copies at once: a stop stitched for each, hands once, for each head or for each copy. */
function forAll(step: PlanStep, copies: Copies, context: HoopingContext): PlanStep {
  const each = copiesPerHead(copies);
  if (step.kind === 'stop') return titled(stopRepeated(step, copies, context), each);
  if (!isOnce(step)) return titled(handsRepeated(step, copies.total, context), copies.total);
  return isKindOf(step.op, ({ done }) => done === 'each-head')
    ? handsRepeated(step, copies.heads, context)
    : step;
}

const titled = (step: PlanStep, times: number): PlanStep =>
  times > 1 ? { ...step, title: `${step.title}, ${times} times` } : step;

/** Sends the machine past the stop that a line-only file has stitched already. */
function pastLines(next: PlanStep, copy: number, context: HoopingContext): PlanStep {
  return broughtStep(
    next,
    {
      id: `past-lines-${copy}`,
      mark: null,
      title: `Send the machine past the placement line, copy ${copy}`,
      detail: 'The lines of all copies are stitched already.',
      op: null
    },
    [{ key: 'goToStop', times: 1, seconds: context.shop.hands.goToStop }],
    context
  );
}

/** Puts a thread change before each stop that needs one, and says which needle stitches it. */
function withThreads(steps: readonly PhasedStep[], heads: number, context: HoopingContext): PhasedStep[] {
  const { item, machine } = context;
  const stitched = steps.filter(
    ({ step }) =>
      step.thread !== null &&
      (step.kind === 'stop' ? step.stop?.machineNumber !== null : does(step.op, 'stitch') !== null)
  );
  const changes = threadChanges(
    stitched.map(({ step }) => step.thread?.id ?? ''),
    machine.needles,
    threadsOn(machine, item)
  );
  let at = 0;
  return steps.flatMap((each): PhasedStep[] => {
    if (stitched[at] !== each) return [each];
    const change = changes[at++];
    const needle = machine.needles > 1 ? (change?.needle ?? null) : null;
    const step = stopWithNeedle(each.step, needle, change?.kind === 'switch', context);
    const own = { ...each, step };
    return change?.kind === 'thread' ? [{ ...each, step: threading(step, heads, context) }, own] : [own];
  });
}

function threading(step: PlanStep, heads: number, context: HoopingContext): PlanStep {
  const { shop, machine } = context;
  const { rethread, snipTail } = shop.hands;
  const parts = [{ key: 'rethread', times: heads, seconds: rethread * heads }];
  return broughtStep(
    step,
    {
      id: `thread-before-${step.id}`,
      mark: 'thread',
      title: `Thread ${step.thread?.name ?? ''}`,
      detail: 'Cut at the spool, pull the tail out through the needle, thread, hold the tail.',
      op: step.thread ? { do: 'thread', threadId: step.thread.id } : null
    },
    machine.trimmer ? parts : [...parts, { key: 'snipTail', times: heads, seconds: snipTail * heads }],
    context
  );
}
