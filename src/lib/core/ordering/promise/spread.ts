import type { Shop } from '$lib/core/documents/shop';
import type { Run } from '$lib/core/documents/run';

/** How far what happens strays from what is planned. Sigmas are of logarithms: 0.2 is about a fifth either way. */
export interface Spread {
  /** One task of hands from the next, and all hands of a job together. */
  hands: { task: number; all: number };
  /** One stitching from the next, and the machine’s speed as a whole. */
  needle: { task: number; all: number };
  /** Faults in 10,000 stitches, and what one costs, s. */
  faults: { per10k: number; seconds: number };
  /** Share of copies that come out bad. */
  spoilage: number;
}

/** What makers tell of faults: a thread breaks about twice in three times 10,000 stitches, and costs three minutes. */
const USUAL_FAULTS = { per10k: 0.65, seconds: 180 };
/** Where nobody has logged a run: hands a quarter either way, a needle five in a hundred. */
const USUAL = { hands: { task: 0.3, all: 0.18 }, needle: { task: 0.04, all: 0.05 } };
/** Runs must tell of so many stitches before their faults say more than what is usual. */
const ENOUGH_STITCHES = 50_000;

/**
 * How far things stray in this shop: as its runs tell, else as makers do.
 *
 * @param spoilage share of copies that the order reckons with
 *
 * @example
 * spreadOf(shop, [], 0.03).faults.per10k // 0.65
 */
export function spreadOf(
  { learned }: Pick<Shop, 'learned'>,
  runs: readonly Pick<Run, 'plan' | 'events' | 'finishedAt'>[],
  spoilage: number
): Spread {
  const people = Object.values(learned?.people ?? {}).filter((each) => each.runs > 0);
  const machines = Object.values(learned?.machines ?? {}).filter((each) => each.runs > 0);
  const mean = (values: readonly number[], none: number): number =>
    values.length === 0 ? none : values.reduce((sum, value) => sum + value, 0) / values.length;
  return {
    hands: {
      task: mean(
        people.map(({ noise }) => noise),
        USUAL.hands.task
      ),
      all: mean(
        people.map(({ shared }) => shared.sd),
        USUAL.hands.all
      )
    },
    needle: {
      task: mean(
        machines.map(({ stopNoise }) => stopNoise),
        USUAL.needle.task
      ),
      all: mean(
        machines.map(({ speed, runNoise }) => Math.hypot(speed.sd, runNoise)),
        USUAL.needle.all
      )
    },
    faults: faultsIn(runs),
    spoilage
  };
}

/** Faults that runs logged, with those that are usual as so many stitches of evidence. */
function faultsIn(runs: readonly Pick<Run, 'plan' | 'events' | 'finishedAt'>[]): Spread['faults'] {
  const over = runs.filter(({ finishedAt }) => finishedAt !== null);
  const stitches = over.reduce(
    (sum, { plan }) => sum + plan.steps.reduce((all, { stop }) => all + (stop?.stitches ?? 0), 0),
    0
  );
  const faults = over.reduce(
    (sum, { events }) => sum + events.filter(({ type }) => type === 'fault').length,
    0
  );
  const usual = (USUAL_FAULTS.per10k * ENOUGH_STITCHES) / 10_000;
  return {
    per10k: ((faults + usual) / (stitches + ENOUGH_STITCHES)) * 10_000,
    seconds: USUAL_FAULTS.seconds
  };
}
