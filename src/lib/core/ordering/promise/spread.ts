import type { Shop } from '$lib/core/documents/shop';
import type { LoggedFaults } from '$lib/core/running/learning';

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
 * @param logged faults of the logged runs; null where there are none
 * @param spoilage share of copies that the order reckons with
 *
 * @example
 * spreadOf(shop, null, 0.03).faults.per10k // 0.65
 */
export function spreadOf(
  { learned }: Pick<Shop, 'learned'>,
  logged: LoggedFaults | null,
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
    faults: faultsIn(logged ?? { faults: 0, stitches: 0 }),
    spoilage
  };
}

/** Faults that runs logged, with those that are usual as so many stitches of evidence. */
function faultsIn({ faults, stitches }: LoggedFaults): Spread['faults'] {
  const usual = (USUAL_FAULTS.per10k * ENOUGH_STITCHES) / 10_000;
  return {
    per10k: ((faults + usual) / (stitches + ENOUGH_STITCHES)) * 10_000,
    seconds: USUAL_FAULTS.seconds
  };
}
