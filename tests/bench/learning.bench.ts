/** Hidden machines and people, five logged runs each; then the sixth, another item, is predicted. */
import { seeded } from '$lib/core/base/units';
import type { Estimate } from '$lib/core/documents/plan';
import { plan } from '$lib/core/making/plan';
import { learnFromRuns } from '$lib/core/running/learning';
import {
  hiddenTruth,
  loggedRun,
  plannedCases,
  reallyTakes,
  SPREAD,
  type Spread
} from './support/hiddenTruth';
import { benchShop } from './support/intact';

const TRUTHS = 500;
const RUNS = 5;
const cases = plannedCases();

interface Outcome {
  errors: { hands: number[]; needle: number[] };
  within80: { hands: number[]; needle: number[] };
  /** As it would be without learning. */
  unlearned: number[];
}

const median = (values: number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? NaN;
};
const mean = (values: number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;

function predictAll(spread: Spread, seed: number): Outcome {
  const random = seeded(seed);
  const outcome: Outcome = {
    errors: { hands: [], needle: [] },
    within80: { hands: [], needle: [] },
    unlearned: []
  };
  for (let at = 0; at < TRUTHS; at++) {
    const truth = hiddenTruth(random, spread);
    const made = cases[Math.floor(random() * cases.length)];
    const others = cases.filter(
      ({ setup, kind }) => setup.machineId === made?.setup.machineId && kind !== made.kind
    );
    const next = others[Math.floor(random() * others.length)];
    if (!made || !next) continue;
    const runs = Array.from({ length: RUNS }, (_, index) =>
      loggedRun(`run-${index}`, made, reallyTakes(made.plan, truth, random, spread), random, spread)
    );
    const learned = learnFromRuns(runs, benchShop.hands);
    const predicted = plan(next.item, next.setup, { ...benchShop, learned });
    const takes = reallyTakes(next.plan, truth, random, spread);
    const hands = next.plan.steps.reduce(
      (sum, step, index) => sum + (step.stop ? 0 : (takes[index] ?? 0) - step.waiting.value),
      0
    );
    const needle = next.plan.steps.reduce(
      (sum, step, index) => sum + (step.stop ? (takes[index] ?? 0) : 0),
      0
    );
    rate(outcome, 'hands', predicted.totals.hands, hands, next.plan.totals.hands.value);
    rate(outcome, 'needle', predicted.totals.needle, needle, next.plan.totals.needle.value);
  }
  return outcome;
}

function rate(
  outcome: Outcome,
  kind: 'hands' | 'needle',
  said: Estimate,
  actual: number,
  before: number
): void {
  outcome.errors[kind].push(Math.abs(said.value / actual - 1));
  outcome.within80[kind].push(actual >= said.low && actual <= said.high ? 1 : 0);
  outcome.unlearned.push(Math.abs(before / actual - 1));
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
const scaled = (by: number): Spread => ({
  ...SPREAD,
  needleRun: SPREAD.needleRun * by,
  handStep: SPREAD.handStep * by
});
const results = (
  [
    ['as asked', 1],
    ['noise halved', 0.5],
    ['noise doubled', 2]
  ] as const
).map(([what, by]) => {
  const { errors, within80, unlearned } = predictAll(scaled(by), 20261125);
  const all = [...errors.hands, ...errors.needle];
  const covered = [...within80.hands, ...within80.needle];
  console.log(
    `${what}: median error ${round(median(all))} (hands ${round(median(errors.hands))}, needle ${round(median(errors.needle))}; without learning ${round(median(unlearned))}), four in five holds ${round(mean(covered))} (hands ${round(mean(within80.hands))}, needle ${round(mean(within80.needle))})`
  );
  return { medianError: round(median(all)), coverage80: round(mean(covered)) };
});
console.log(
  JSON.stringify({
    ...results[0],
    truths: TRUTHS,
    halved: results[1],
    doubled: results[2]
  })
);
