import { fitIn } from './calendar';
import type { Problem } from './problem';
import { washesOf } from './washes';
import { machineSeconds } from './work';

/**
 * When an order would be done by somebody who does one hooping after another, each on the machine that takes least, and
 * everything of it before the next begins, waits at the table left out: what a plan is compared with. s from the midnight
 * before.
 *
 * @example
 * oneByOne(twoHoopings) / decode(twoHoopings, decisions).worked // 1.4
 */
export function oneByOne(problem: Problem): number {
  const { jobs, stations, calendar, start } = problem;
  let at = start;
  const hands = (seconds: number): void => {
    if (seconds > 0) at = fitIn(calendar.hands, at, seconds).to;
  };
  const kinds = stations.map(({ kind }) => kind);
  for (const { on, kind, begun, leaves = kind } of jobs) {
    const takes = on.map((times) => (times ? machineSeconds(times) : Infinity));
    const machine = begun ?? takes.indexOf(Math.min(...takes));
    const times = on[machine];
    if (!times) continue;
    if (begun === null) hands(times.load);
    if (kinds[machine] !== kind) hands(times.setUp);
    kinds[machine] = leaves;
    for (const { kind: what, seconds } of times.segments) {
      if (what === 'needle') at = fitIn(calendar.needle, at, seconds).to;
      else hands(seconds);
    }
    hands(times.off);
    for (const work of times.finish) if (work.kind === 'hands') hands(work.seconds);
  }
  for (const { work } of washesOf(problem).values())
    for (const each of work) if (each.kind === 'hands') hands(each.seconds);
  return at;
}
