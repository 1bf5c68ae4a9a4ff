import type { Factor, Learned, LearnedHands, LearnedMachine } from '$lib/core/documents/shop';
import { fit, type Observation } from '$lib/core/solvers/regression';

/** A hand step as it was logged, by the hand times it is made of, s as they stand in the shop. */
export interface HandSeen {
  run: string;
  person: string;
  parts: readonly { key: string; seconds: number }[];
  seconds: number;
}

/** A stop as it was logged, by what its needle time is made of, s as planned from defaults. */
export interface NeedleSeen {
  run: string;
  machine: string;
  stitching: number;
  overhead: number;
  trims: number;
  seconds: number;
}

/** How far people differ in a kind of hand step, and all their steps together. */
const BETWEEN_KINDS = 0.37;
const BETWEEN_PEOPLE = 0.12;
const HAND_NOISE = 0.3;
/** How far machines differ from what is set, and one run from the next. */
const BETWEEN_MACHINES = 0.25;
const BETWEEN_OVERHEADS = 0.4;
const RUN_NOISE = 0.06;
const STOP_NOISE = 0.04;
/** Rounds of turns between the parts of a fit that depend on each other. */
const TURNS = 4;
/** Log of the least time that can be right: a press too quick for the step is a slip. */
const SHORTEST_S = 0.5;

/**
 * What logged steps tell of hands and machines. Few of them move a factor only part of the way from the default; pauses and
 * slips do not count.
 *
 * @example
 * learn([], []) // { people: {}, machines: {}, runIds: [], counts: [] }: every estimate stays the craft’s default
 */
export function learn(hands: readonly HandSeen[], needles: readonly NeedleSeen[]): Learned {
  return {
    people: byName(hands, ({ person }) => person, learnHands),
    machines: byName(needles, ({ machine }) => machine, learnMachine),
    runIds: [...new Set([...hands, ...needles].map(({ run }) => run))],
    counts: []
  };
}

function byName<T, R>(
  seen: readonly T[],
  nameOf: (one: T) => string,
  learned: (own: T[]) => R
): Record<string, R> {
  const groups = new Map<string, T[]>();
  for (const one of seen) groups.set(nameOf(one), [...(groups.get(nameOf(one)) ?? []), one]);
  return Object.fromEntries([...groups].map(([name, own]) => [name, learned(own)]));
}

/** Factors of one person, each part of a step charged with its share of the step. */
function learnHands(all: readonly HandSeen[]): LearnedHands {
  const seen = all.filter(({ parts, seconds }) => seconds > SHORTEST_S && total(parts) > 0);
  const keys = [...new Set(seen.flatMap(({ parts }) => parts.map(({ key }) => key)))];
  const indexOf = new Map(keys.map((key, at) => [key, at]));
  const samples = keys.map(
    (key) => seen.filter(({ parts }) => parts.some((part) => part.key === key)).length
  );
  let shared = 0;
  let noise = HAND_NOISE;
  let mean = keys.map(() => 0);
  let sd = keys.map(() => BETWEEN_KINDS);
  for (let turn = 0; turn < TURNS; turn++) {
    // The default is a mean, so what lies in the middle is a little less.
    const middle = shared - HAND_NOISE ** 2 / 2;
    const rows = seen.map(({ parts, seconds }): Observation => {
      const scaled = parts.map(({ key, seconds: base }) => {
        const at = indexOf.get(key) ?? 0;
        return [at, base * Math.exp(turn === 0 ? middle : (mean[at] ?? 0))] as const;
      });
      const expected = scaled.reduce((sum, [, base]) => sum + base, 0);
      const shares = scaled.map(([at, base]) => [at, base / expected] as const);
      const around = shares.reduce(
        (sum, [at, share]) => sum + share * (turn === 0 ? middle : (mean[at] ?? 0)),
        0
      );
      return { shares, value: Math.log(seconds / expected) + around };
    });
    const prior = { mean: keys.map(() => middle), sd: keys.map(() => BETWEEN_KINDS) };
    ({ mean, sd, noise } = fit(rows, prior, HAND_NOISE));
    const above = mean.reduce((sum, each) => sum + each + HAND_NOISE ** 2 / 2, 0);
    shared = above / BETWEEN_KINDS ** 2 / (1 / BETWEEN_PEOPLE ** 2 + keys.length / BETWEEN_KINDS ** 2);
  }
  const factors = Object.fromEntries(
    keys.map((key, at): [string, Factor] => [
      key,
      { mean: mean[at] ?? 0, sd: sd[at] ?? 0, samples: samples[at] ?? 0 }
    ])
  );
  return {
    factors,
    shared: { mean: shared - HAND_NOISE ** 2 / 2, sd: BETWEEN_KINDS, samples: 0 },
    noise,
    runs: runsIn(seen)
  };
}

/** Speed, overhead and trims of one machine, and how far its runs stray from each other. */
function learnMachine(all: readonly NeedleSeen[]): LearnedMachine {
  const seen = all.filter((one) => one.seconds > SHORTEST_S && sumOf(one) > 0);
  const runs = [...new Set(seen.map(({ run }) => run))];
  const runIndex = new Map(runs.map((run, at) => [run, at + 3]));
  let runNoise = RUN_NOISE;
  let mean = [0, 0, 0, ...runs.map(() => 0)];
  let sd = [BETWEEN_MACHINES, BETWEEN_OVERHEADS, BETWEEN_OVERHEADS, ...runs.map(() => RUN_NOISE)];
  let stopNoise = STOP_NOISE;
  for (let turn = 0; turn < TURNS; turn++) {
    const rows = seen.map((one): Observation => {
      const scaled = [one.stitching, one.overhead, one.trims].map(
        (base, at) => base * Math.exp(mean[at] ?? 0)
      );
      const expected = scaled.reduce((sum, each) => sum + each, 0);
      const own = scaled.map((each, at) => [at, each / expected] as const).filter(([, share]) => share > 0);
      const around = own.reduce((sum, [at, share]) => sum + share * (mean[at] ?? 0), 0);
      return {
        shares: [...own, [runIndex.get(one.run) ?? 3, 1] as const],
        value: Math.log(one.seconds / expected) + around
      };
    });
    const prior = {
      mean: mean.map(() => 0),
      sd: [BETWEEN_MACHINES, BETWEEN_OVERHEADS, BETWEEN_OVERHEADS, ...runs.map(() => runNoise)]
    };
    ({ mean, sd, noise: stopNoise } = fit(rows, prior, STOP_NOISE));
    const square = runs.reduce((sum, _, at) => sum + (mean[at + 3] ?? 0) ** 2 + (sd[at + 3] ?? 0) ** 2, 0);
    runNoise = Math.sqrt((4 * RUN_NOISE ** 2 + square) / (4 + runs.length));
  }
  const factor = (at: number): Factor => ({ mean: mean[at] ?? 0, sd: sd[at] ?? 0, samples: seen.length });
  return {
    speed: factor(0),
    overhead: factor(1),
    trims: factor(2),
    runNoise,
    stopNoise,
    runs: runs.length
  };
}

const total = (parts: readonly { seconds: number }[]): number =>
  parts.reduce((sum, { seconds }) => sum + seconds, 0);
const sumOf = ({ stitching, overhead, trims }: NeedleSeen): number => stitching + overhead + trims;
const runsIn = (seen: readonly { run: string }[]): number => new Set(seen.map(({ run }) => run)).size;
