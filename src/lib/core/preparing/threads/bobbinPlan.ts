import type { Item } from '$lib/core/documents/item';
import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { Setup } from '$lib/core/documents/shop';
import type { PlanAndTrace } from '$lib/core/making/plan';
import { matchingBobbins } from '$lib/core/craft/stack';
import { GUESS_FACTOR } from '$lib/core/making/time';
import {
  type BobbinChange,
  type BobbinLevel,
  type BobbinPlan,
  type BobbinStop,
  type BobbinUse,
  followBobbins,
  planBobbins
} from '$lib/core/solvers/bobbins';
import { haltPlace, type HaltPlace } from './haltPlace';

/** Thread of bobbins nobody has to match, as the setup calls it. */
export const USUAL = '';

/** A change of the bobbin on its way through an item. */
export interface PlannedBobbin extends BobbinChange {
  stepId: string;
  /** The copy it goes on in, from 1. */
  copy: number;
  why: 'start' | 'colour' | 'too little' | 'runs out' | 'planned halt';
  /** Where the one before it runs out; null for a change before a stop. */
  runOut: PlannedRunOut | null;
  /** Where the machine is halted for it. */
  halt: HaltPlace | null;
}

/** A place in the item where a bobbin runs out, or is changed at the latest. */
export interface StitchPlace {
  copy: number;
  stepId: string;
  /** The machine’s number of the stop, and the stitch in it. */
  stop: number;
  stitch: number;
  /** Stitches of the stop. */
  of: number;
}

export interface PlannedRunOut {
  earliest: StitchPlace;
  expected: StitchPlace | null;
  /** The stop before which it is changed at the latest, should it last so long. */
  before: StitchPlace | null;
}

/** The bobbins of an item, stop by stop. */
export interface ItemBobbins {
  capacity: number;
  /** Copies made one after another that the plan is for. */
  copies: number;
  changes: PlannedBobbin[];
  /** Thread in the machine at both ends of each stitched stop, as it is expected. */
  levels: (BobbinLevel & { stepId: string; copy: number })[];
  wind: BobbinPlan['wind'];
  leftBehind: number;
  proven: boolean;
  use: BobbinUse;
}

/** The most stops that are planned for at once; of more copies only the first are. */
const MOST_STOPS = 120;

/**
 * Plans the bobbins of an item: for the most a stop may take, so that none runs out where it would show; and says where
 * each is expected to run out.
 *
 * @param use what logged run-outs tell
 * @param copies stitched one after another
 * @param bobbinOn the bobbin in the machine
 */
export function planItemBobbins(
  { item, plan, trace }: Pick<PlanAndTrace, 'item' | 'plan' | 'trace'>,
  use: BobbinUse,
  { copies = 1, bobbinOn }: Partial<Pick<Setup, 'copies' | 'bobbinOn'>> = {}
): ItemBobbins {
  const last = trace.at(-1)?.state;
  const matching = last ? matchingBobbins(item, last) : new Set<string>();
  const steps = plan.steps.filter(
    ({ stop }) => stop !== null && stop.machineNumber !== null && stop.bobbinMetres > 0
  );
  const counted = Math.max(1, Math.min(copies, Math.floor(MOST_STOPS / Math.max(1, steps.length))));
  const runs = Array.from({ length: counted }, (_, copy) =>
    steps.map((step) => ({ step, copy: copy + 1 }))
  ).flat();
  const expected = runs.map(({ step }): BobbinStop => ({
    id: step.id,
    metres: (step.stop?.bobbinMetres ?? 0) * use.factor,
    colour: matching.has(step.id) ? (step.thread?.id ?? USUAL) : null,
    protected: step.stop?.protected ?? false
  }));
  const capacity = plan.bobbin.metres;
  const start = bobbinOn ? { colour: bobbinOn.threadId, metres: bobbinOn.metres } : null;
  // A stop that would fill a bobbin only with the margin is protected all the same: it is planned as one that just fits.
  const most = expected.map((stop, at) => ({
    ...stop,
    metres: withMargin(stop.metres, marginOf(runs[at]?.step.stop, use.margin), capacity)
  }));
  const made = planBobbins(most, { capacity, usual: USUAL, start });
  const { levels, runOuts } = followBobbins(expected, most, made.changes, start);
  const placeOf = ({ at, share }: { at: number; share: number }): StitchPlace => {
    const { step, copy = 1 } = runs[at] ?? {};
    const of = step?.stop?.stitches ?? 0;
    const stitch = Math.round(share * of);
    return { copy, stepId: step?.id ?? '', stop: step?.stop?.machineNumber ?? 0, stitch, of };
  };
  const changes = made.changes.map((change, index): PlannedBobbin => {
    const { step, copy = 1 } = runs[change.at] ?? {};
    const out = runOuts[index] ?? null;
    const isHalt = change.into > 0 && step?.stop?.protected === true;
    return {
      ...change,
      stepId: step?.id ?? '',
      copy,
      why: whyOf(change, made.changes[index - 1], isHalt),
      runOut: out && {
        earliest: placeOf(out.earliest),
        // One that comes off before a stop does not run out in it.
        expected:
          out.expected && (out.before === null || out.expected.at < out.before)
            ? placeOf(out.expected)
            : null,
        before: out.before === null ? null : placeOf({ at: out.before, share: 0 })
      },
      halt: isHalt && step ? haltOf(item, step, change, made.changes[index + 1], most, capacity, last) : null
    };
  });
  return {
    capacity,
    copies: counted,
    changes,
    levels: levels.map((level, at) => ({
      ...level,
      stepId: runs[at]?.step.id ?? '',
      copy: runs[at]?.copy ?? 1
    })),
    wind: made.wind,
    leftBehind: made.leftBehind,
    proven: made.proven,
    use
  };
}

/** Share by which a stop may take more; of a count that nobody has charted, all that it may be more. */
function marginOf(stop: PlanStep['stop'] | undefined, margin: number): number {
  return stop?.countSource === 'estimate' ? (1 + margin) * GUESS_FACTOR - 1 : margin;
}

function withMargin(metres: number, margin: number, capacity: number): number {
  const most = metres * (1 + margin);
  return metres <= capacity ? Math.min(most, capacity) : most;
}

function whyOf(
  change: BobbinChange,
  before: BobbinChange | undefined,
  isHalt: boolean
): PlannedBobbin['why'] {
  if (isHalt) return 'planned halt';
  if (change.into > 0) return 'runs out';
  if (change.leaves === null) return 'start';
  return before && before.colour !== change.colour ? 'colour' : 'too little';
}

/** A planned halt may come as much earlier as the bobbin after it has to spare. */
function haltOf(
  item: Item,
  step: PlanStep,
  change: BobbinChange,
  next: BobbinChange | undefined,
  stops: readonly BobbinStop[],
  capacity: number,
  last: Parameters<typeof haltPlace>[5]
): HaltPlace {
  const metres = stops[change.at]?.metres ?? 1;
  const spare = next ? (next.leaves ?? 0) : leftAtEnd(stops, change);
  const earliest = Math.max(0, change.into - Math.min(spare, capacity / 3));
  return haltPlace(item, step.id, step.stop?.stitches ?? 0, earliest / metres, change.into / metres, last);
}

/** What the last bobbin has left after the last stop, m. */
function leftAtEnd(stops: readonly BobbinStop[], { at, into, metres }: BobbinChange): number {
  const rest = stops.slice(at).reduce((sum, stop) => sum + stop.metres, 0) - into;
  return Math.max(0, metres - rest);
}

/** What a bobbin is wound with, in words. */
export function bobbinColourName(colour: string, plan: Plan, usual: string): string {
  return colour === USUAL
    ? usual
    : (plan.threads.find(({ thread }) => thread.id === colour)?.thread.name ?? usual);
}
