import { type Way, WAYS } from '$lib/core/documents/run';
import { copiesPerHead, hasLinesFirst, hoopingSteps } from './hoopingSteps';
import { type HoopingContext } from './repeated';
import type { Copies, Stage } from './stages';

/** What one way to stitch the copies in a hoop takes. */
export interface WayCost {
  way: Way;
  threadChanges: number;
  /** Times the machine stands until hands have done something, between its first and its last stitch. */
  halts: number;
  /** Moves from one copy to another. */
  jumps: number;
  /** s */
  hands: number;
  needle: number;
}

/**
 * What each way to stitch the copies in a hoop takes, the quickest first: by the time from the first to the last stitch,
 * since hands that the machine waits for cost both.
 *
 * @example
 * compareWays(tabStage, { total: 3, heads: 1 }, context)[0]?.way // 'colour-by-colour'
 */
export function compareWays(stage: Stage, copies: Copies, context: HoopingContext): WayCost[] {
  return waysFor(stage, copies)
    .map((way) => costOf(stage, copies, way, context))
    .sort((a, b) => a.hands + a.needle - (b.hands + b.needle) || a.halts - b.halts || a.jumps - b.jumps);
}

/** The ways a stage can be stitched in. */
function waysFor(stage: Stage, copies: Copies): Way[] {
  if (copiesPerHead(copies) === 1) return ['copy-by-copy'];
  return WAYS.filter((way) => way !== 'lines-first' || hasLinesFirst(stage));
}

function costOf(stage: Stage, copies: Copies, way: Way, context: HoopingContext): WayCost {
  const steps = hoopingSteps(stage, copies, way, context);
  const machine = steps.filter(({ phase }) => phase === 'machine').map(({ step }) => step);
  const [first, last] = [
    machine.findIndex(({ kind }) => kind === 'stop'),
    machine.findLastIndex(({ kind }) => kind === 'stop')
  ];
  const halts = machine.filter(
    (step, at) =>
      at > first &&
      at < last &&
      step.kind === 'hand' &&
      machine[at - 1]?.kind === 'stop' &&
      step.hands.value > 0
  ).length;
  const stops = machine.filter(({ kind }) => kind === 'stop').length;
  const each = copiesPerHead(copies);
  return {
    way,
    halts,
    threadChanges: machine.filter(({ op }) => op?.do === 'thread').length,
    jumps: way === 'colour-by-colour' ? stops * (each - 1) : (each - 1) * (way === 'lines-first' ? 2 : 1),
    hands: steps.reduce((sum, { step }) => sum + step.hands.value, 0),
    needle: steps.reduce((sum, { step }) => sum + step.running.value, 0)
  };
}
