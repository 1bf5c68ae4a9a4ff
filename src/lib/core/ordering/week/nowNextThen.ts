import type { BatchPlan } from '$lib/core/ordering/day';
import { orderOfLine } from './merged';

/** One thing for the pair of hands. */
export interface HandTask {
  title: string;
  from: number;
  to: number;
  orderId: string | null;
  hoopingId: string | null;
  /** The run it belongs to, where its hooping is under way. */
  runId: string | null;
  /** The machine it is for; null at the table. */
  station: string | null;
  /** Hands are needed at that machine itself: loading a hoop for it is not. */
  atMachine: boolean;
}

/**
 * What hands do one after another, whatever order it is for: now, next, then.
 *
 * @param at s from the midnight the plan begins
 *
 * @example
 * handTasks(week.plan, 9 * 3600, 3).map(({ title }) => title) // ['Load the hoop', 'Thread Signal red', 'Trim the front']
 */
export function handTasks(plan: BatchPlan, at: number, most: number): HandTask[] {
  const hoopings = new Map(plan.hoopings.map((each) => [each.id, each]));
  const names = new Map(plan.stations.map(({ id, name }) => [id, name]));
  return plan.tasks
    .filter(({ person, to }) => person !== null && to > at)
    .toSorted((a, b) => a.from - b.from)
    .slice(0, most)
    .map(({ kind, title, from, to, hoopingId, stationId }) => {
      const hooping = hoopingId === null ? undefined : hoopings.get(hoopingId);
      return {
        title,
        from,
        to,
        hoopingId,
        runId: hooping?.runId ?? null,
        atMachine: stationId !== null && kind !== 'load',
        orderId: hooping ? orderOfLine(hooping.lineId) : null,
        station: stationId === null ? null : (names.get(stationId) ?? null)
      };
    });
}
