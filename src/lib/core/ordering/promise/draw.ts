import { seeded } from '$lib/core/base/units';
import { type Decisions, decode, type JobTimes, type Problem } from '$lib/core/solvers/schedule';
import type { Spread } from './spread';

/** Stitches a minute where nobody has said what a machine averages. */
const SPM = 700;

/**
 * Draws what may come through a plan: how long hands and needle take, faults on the way, and copies that come out bad beyond
 * those reckoned with, which are stitched again at the end.
 *
 * @param planned the problem and what was decided
 * @param draws how often
 * @param spare copies the plan makes beyond what is wanted
 * @returns when all is done, in s from the midnight before, the earliest first
 *
 * @example
 * drawFinishes(planned, NO_SPREAD, { draws: 3, copies: 10, spare: 0 }) // three times the plan’s own finish
 */
export function drawFinishes(
  { problem, decisions }: { problem: Problem; decisions: Decisions },
  spread: Spread,
  { draws, copies, spare, seed = 1 }: { draws: number; copies: number; spare: number; seed?: number }
): number[] {
  const random = seeded(seed);
  const again = oneMore(problem);
  const finishes = Array.from({ length: draws }, () => {
    const { finish } = decode(drawnProblem(problem, spread, random), decisions);
    const bad = binomial(copies + spare, spread.spoilage, random);
    // A copy more is hooped, stitched and finished by itself once the rest is through.
    return finish + Math.max(0, bad - spare) * again * factor(spread.hands.all, random);
  });
  return finishes.sort((a, b) => a - b);
}

/** A problem with times as they may come. */
export function drawnProblem(problem: Problem, spread: Spread, random: () => number): Problem {
  const hands = factor(spread.hands.all, random);
  const machines = problem.stations.map(() => factor(spread.needle.all, random));
  const byHand = (seconds: number): number => seconds * hands * factor(spread.hands.task, random);
  const timesOf = (times: JobTimes, machine: number): JobTimes => ({
    ...times,
    setUp: byHand(times.setUp),
    load: byHand(times.load),
    threading: byHand(times.threading),
    off: byHand(times.off),
    segments: times.segments.map((segment) => {
      if (segment.kind === 'hands') return { ...segment, seconds: byHand(segment.seconds) };
      const stitched = segment.seconds * (machines[machine] ?? 1) * factor(spread.needle.task, random);
      const spm = problem.stations[machine]?.spm ?? SPM;
      const faults = poisson((((segment.seconds / 60) * spm) / 10_000) * spread.faults.per10k, random);
      return { ...segment, seconds: stitched + faults * spread.faults.seconds * hands };
    }),
    finish: times.finish.map((work) =>
      work.kind === 'hands' ? { ...work, seconds: byHand(work.seconds) } : work
    )
  });
  return {
    ...problem,
    jobs: problem.jobs.map((job) => ({
      ...job,
      on: job.on.map((times, machine) => times && timesOf(times, machine))
    })),
    table: problem.table.map((each) => ({
      ...each,
      work: each.work.map((work) =>
        work.kind === 'hands' ? { ...work, seconds: byHand(work.seconds) } : work
      )
    }))
  };
}

/** Time that one copy more takes by itself, s: its share of the quickest hooping’s needle, and all of its hands once. */
function oneMore({ jobs }: Problem): number {
  const alone = jobs.flatMap(({ on }) =>
    on.flatMap((times) =>
      times
        ? [
            times.load +
              times.off +
              times.segments.reduce((sum, { seconds }) => sum + seconds, 0) +
              times.finish.reduce((sum, { seconds, times: each }) => sum + seconds / Math.max(1, each), 0)
          ]
        : []
    )
  );
  return alone.length > 0 ? Math.min(...alone) : 0;
}

/** A factor whose logarithm is normal and whose mean is 1. */
function factor(sigma: number, random: () => number): number {
  if (sigma <= 0) return 1;
  return Math.exp(sigma * normal(random) - sigma ** 2 / 2);
}

/** By Box and Muller. */
function normal(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** By Knuth: products of uniforms until they fall below e^-mean. */
export function poisson(mean: number, random: () => number): number {
  const least = Math.exp(-Math.min(mean, 700));
  let count = 0;
  for (let product = random(); product > least; product *= random()) count++;
  return count;
}

function binomial(count: number, share: number, random: () => number): number {
  let found = 0;
  for (let at = 0; at < count; at++) if (random() < share) found++;
  return found;
}
