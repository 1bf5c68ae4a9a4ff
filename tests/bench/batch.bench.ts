/** Schedules of random orders against a bound nothing can beat, and that bound against exact schedules. */
import { seeded } from '$lib/core/base/units';
import { oneByOne, searchSchedule } from '$lib/core/solvers/schedule';
import { lowerBound } from '$lib/core/solvers/schedule/bound';
import { exactSchedule } from '$lib/core/solvers/schedule/exact';
import { randomOrder } from '../unit/support/randomOrders';

const ORDERS = 50;
const EXACT = 24;

const random = seeded(8);
const between = (low: number, high: number): number => low + (high - low) * random();

let [checked, broken, optimal] = [0, 0, 0];
const aboveExact: number[] = [];
/** How far the bound lies below what is best, where that is known exactly. */
const slack: number[] = [];
for (let seed = 0; seed < EXACT; seed++) {
  const problem = randomOrder(900 + seed, {
    machines: 1 + (seed % 3),
    hoopings: 2 + (seed % 3),
    // Four hoopings with halts have too many orders of hands to try them all.
    halts: seed % 3 === 0 ? 1 : 0,
    share: between(0.6, 1.1)
  });
  const { schedule } = searchSchedule(problem, { rounds: 600 });
  const exact = exactSchedule(problem, schedule.worked);
  if (exact === null) continue;
  checked += 1;
  if (lowerBound(problem).worked > exact + 1e-6) broken += 1;
  if (schedule.worked <= exact * 1.001) optimal += 1;
  aboveExact.push(schedule.worked / exact);
  slack.push((exact - problem.start) / (lowerBound(problem).worked - problem.start));
}
console.log(
  `${EXACT} orders of two to four hoopings: ${checked} solved exactly, bound above the best ${broken} times, plan the best ${optimal} times`
);

const ratios: number[] = [];
const times: number[] = [];
const speedUps: number[] = [];
for (let at = 0; at < ORDERS; at++) {
  const machines = at % 2 === 0 ? 1 : 2 + ((at >> 1) % 3);
  const problem = randomOrder(100 + at, {
    machines,
    hoopings: 3 + Math.floor(between(0, 6) * machines),
    halts: 3,
    share: between(0.6, 1.1)
  });
  const begun = performance.now();
  const { schedule, bound } = searchSchedule(problem);
  times.push(performance.now() - begun);
  ratios.push(schedule.worked / bound.worked);
  speedUps.push(oneByOne(problem) / schedule.worked);
  console.log(
    `order ${at + 1}: ${machines} machine${machines > 1 ? 's' : ''}, ${problem.jobs.length} hoopings, ${(schedule.worked / 3600).toFixed(2)} h, ${ratios.at(-1)?.toFixed(3)} of the bound, ${Math.round(times.at(-1) ?? 0)} ms`
  );
}
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / values.length;
console.log(
  JSON.stringify({
    meanToBound: Number(mean(ratios).toFixed(4)),
    maxToBound: Number(Math.max(...ratios).toFixed(4)),
    medianMs: Math.round(times.toSorted((a, b) => a - b)[ORDERS / 2] ?? 0),
    meanSpeedUp: Number(mean(speedUps).toFixed(3)),
    exactChecked: checked,
    boundAboveExact: broken,
    meanPlanToExact: Number(mean(aboveExact).toFixed(4)),
    meanExactToBound: Number(mean(slack).toFixed(4)),
    maxExactToBound: Number(Math.max(...slack).toFixed(4))
  })
);
