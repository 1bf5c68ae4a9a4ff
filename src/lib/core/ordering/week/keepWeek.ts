import { sayTime, secondsBetween, wallTimeAt } from '$lib/core/ordering/day';
import { handTasks } from './nowNextThen';
import type { KeptWeek } from './keptWeek';
import { orderOfLine } from './merged';
import type { WeekInput, WeekPlan } from './planWeek';

/** Tasks of the hands that are kept: a long day’s. */
const MOST_TASKS = 120;

/**
 * A planned week, small enough to keep: other pages show what comes next from it, and the next plan is told beside it.
 *
 * @example
 * keptWeek(input, week).tasks[0]?.title // 'Load the hoop'
 */
export function keptWeek({ orders, shop, room }: WeekInput, { plan, orders: told }: WeekPlan): KeptWeek {
  const wall = (seconds: number): string => wallTimeAt(room.from, seconds);
  const machineOf = new Map(plan.stations.map(({ id, name }) => [id, name]));
  const { workroom } = shop;
  return {
    at: room.from,
    orders: orders.map(({ order }) => {
      const own = told.find(({ orderId }) => orderId === order.id);
      return {
        id: order.id,
        name: order.name,
        pieces: order.lines.reduce((sum, { quantity }) => sum + quantity, 0),
        left: plan.hoopings
          .filter(({ lineId, stage, stages }) => orderOfLine(lineId) === order.id && stage === stages - 1)
          .reduce((sum, { copies }) => sum + copies, 0),
        ...(order.goes && { goes: order.goes }),
        due: order.due,
        finish: own ? wall(own.finish) : room.from
      };
    }),
    room: {
      hours: `${clock(room.bench.from)} to ${clock(room.bench.to)}, ${room.bench.days.toSorted().join(' ')}`,
      people: room.people,
      daysOff: workroom?.daysOff ?? [],
      otherHours: (workroom?.otherHours ?? []).map(
        ({ day, from, to }) => `${day} ${clock(from)} to ${clock(to)}`
      ),
      away: (workroom?.away ?? []).map(
        ({ machineId, from, to }) =>
          `${shop.machines.find(({ id }) => id === machineId)?.name ?? machineId} ${from} to ${to}`
      )
    },
    tasks: handTasks(plan, plan.start, MOST_TASKS).map(
      ({ title, from, to, orderId, runId, station, atMachine }) => ({
        title,
        from: wall(from),
        to: wall(to),
        orderId,
        runId,
        place: station ?? 'at the table',
        atMachine
      })
    ),
    hoopings: plan.hoopings.map(({ lineId, name, copies, stationId, from, to }) => ({
      orderId: orderOfLine(lineId),
      name,
      copies,
      machine: machineOf.get(stationId) ?? '',
      from: wall(from),
      to: wall(to)
    }))
  };
}

const clock = (minutes: number): string => sayTime('2000-01-01T00:00', minutes * 60);

/**
 * What hands do next by a kept week, from a time on.
 *
 * @param now wall time
 *
 * @example
 * nextTasks(kept, '2026-11-27T10:30', 1)[0]?.title // 'Trim the front'
 */
export function nextTasks(kept: KeptWeek, now: string, most: number): KeptWeek['tasks'] {
  return kept.tasks.filter(({ to }) => to > now).slice(0, most);
}

/**
 * What hands can do at another place while a machine stitches: the next task of the week that is none of its run and is over
 * before it needs hands again; null where there is none.
 *
 * @param now wall time
 * @param machine its name
 * @param seconds until it needs hands
 *
 * @example
 * meanwhile(kept, '2026-11-27T10:30', { runId: 'tabs', machine: 'Left', seconds: 900 })?.title // 'Cut out, 4 times'
 */
export function meanwhile(
  kept: KeptWeek,
  now: string,
  { runId, machine, seconds }: { runId: string; machine: string; seconds: number }
): KeptWeek['tasks'][number] | null {
  // A run that began after the week was planned stands in it as a hooping still to be loaded on its machine.
  const isKnown = kept.tasks.some((task) => task.runId === runId);
  const next = kept.tasks.find(
    ({ to, runId: own, place, atMachine }) =>
      to > now && own !== runId && (place !== machine || (isKnown && !atMachine))
  );
  if (!next) return null;
  const at = (wall: string): number => secondsBetween(now, wall);
  const begins = Math.max(at(now), at(next.from));
  return begins + at(next.to) - at(next.from) <= at(now) + seconds ? next : null;
}
