import { type BatchPlan, wallTimeAt } from '$lib/core/ordering/day';
import type { BobbinRow, Quote, ThreadRow } from '$lib/core/ordering/quote';
import { createEvents, type DateTime, type EventAttributes } from 'ics';
import { csv } from './csv';

/** Every task of a schedule, a line each, in the order they begin. */
export function scheduleCsv(plan: BatchPlan, from: string): string {
  const nameOf = namesOf(plan);
  return csv(
    plan.tasks
      .toSorted((a, b) => a.from - b.from)
      .map((task) => ({
        from: wallTimeAt(from, task.from),
        to: wallTimeAt(from, task.to),
        kind: task.kind,
        machine: plan.stations.find(({ id }) => id === task.stationId)?.name ?? '',
        hooping: task.hoopingId === null ? '' : nameOf(task.hoopingId),
        what: task.title,
        minutes: ((task.to - task.from) / 60).toFixed(1)
      }))
  );
}

/** Every hooping with its copies, machine and hoop. */
export function hoopingsCsv(plan: BatchPlan, from: string, hoopName: (id: string) => string): string {
  return csv(
    plan.hoopings
      .toSorted((a, b) => a.from - b.from)
      .map((each) => ({
        item: each.name,
        hooping: each.stages > 1 ? `${each.stage + 1} of ${each.stages}` : 1,
        copies: each.copies,
        numbers: each.numbers.join(' '),
        names: each.names.join(', '),
        hoop: hoopName(each.hoopId),
        'shares it with': (each.shared?.parts ?? [])
          .filter((_, at) => at !== each.shared?.at)
          .map(({ name, copies }) => `${copies} × ${name}`)
          .join(', '),
        machine: plan.stations.find(({ id }) => id === each.stationId)?.name ?? '',
        order: each.way,
        from: wallTimeAt(from, each.from),
        to: wallTimeAt(from, each.to)
      }))
  );
}

/** What each line of an order costs and brings. */
export function quoteCsv({ lines, total }: Quote): string {
  const money = (value: number): string => value.toFixed(2);
  const row = (name: string, each: Quote['total']): Record<string, string | number> => ({
    item: name,
    pieces: each.pieces,
    material: money(each.material),
    stabiliser: money(each.stabiliser),
    thread: money(each.thread),
    notions: money(each.notions),
    machine: money(each.machine),
    hands: money(each.hands),
    overhead: money(each.overhead),
    cost: money(each.cost),
    'of it for spoiled copies': money(each.spoilage),
    revenue: money(each.revenue),
    'earned per hour of hand work': money(each.earnsHour)
  });
  return csv([
    ...lines.map((line) => ({
      ...row(line.name, line),
      'price each': money(line.price),
      quoted: line.quoted ? 'yes' : 'no'
    })),
    { ...row('All', total), 'price each': '', quoted: '' }
  ]);
}

/** Threads and bobbins of a whole order. */
export function threadsCsv(threads: readonly ThreadRow[], bobbins: readonly BobbinRow[]): string {
  return csv([
    ...threads.map((row) => ({
      what: 'thread',
      name: row.name,
      'upper, m': row.upper.toFixed(0),
      'on bobbins, m': row.bobbin.toFixed(0),
      'spools at once': row.atOnce,
      'in the stash, m': row.have?.metres.toFixed(0) ?? '',
      'lacking, m': row.lacks.toFixed(0),
      bobbins: ''
    })),
    ...bobbins.map((row) => ({
      what: 'bobbins',
      name: row.name,
      'upper, m': '',
      'on bobbins, m': row.metres.toFixed(0),
      'spools at once': '',
      'in the stash, m': '',
      'lacking, m': '',
      bobbins: row.bobbins
    }))
  ]);
}

/**
 * A schedule as a calendar: an entry a hooping, and one for each time somebody has to be there.
 *
 * @param from wall time of the day the plan begins; the calendar’s times stand on the same wall
 */
export function scheduleIcs(plan: BatchPlan, from: string, name: string): string {
  const at = (seconds: number): DateTime => {
    const wall = wallTimeAt(from, seconds);
    return [
      Number(wall.slice(0, 4)),
      Number(wall.slice(5, 7)),
      Number(wall.slice(8, 10)),
      Number(wall.slice(11, 13)),
      Number(wall.slice(14, 16))
    ];
  };
  const wallClock = {
    startInputType: 'local',
    startOutputType: 'local',
    endInputType: 'local',
    endOutputType: 'local'
  } as const;
  const nameOf = namesOf(plan);
  const events: EventAttributes[] = [
    ...plan.hoopings.map((each): EventAttributes => ({
      ...wallClock,
      uid: `${each.id}@jolt-step`,
      title: `${nameOf(each.id)}: ${plan.stations.find(({ id }) => id === each.stationId)?.name ?? ''}`,
      description: `${each.copies} copies. ${each.names.join(', ')}`.trim(),
      start: at(each.from),
      end: at(Math.max(each.to, each.from + 60))
    })),
    ...plan.presence.map((span, index): EventAttributes => ({
      ...wallClock,
      uid: `hands-${index}@jolt-step`,
      title: `${name}: hands needed`,
      start: at(span.from),
      end: at(Math.max(span.to, span.from + 60))
    }))
  ];
  const { error, value } = createEvents(events, { productId: 'jolt-step', calName: name });
  if (error || typeof value !== 'string') throw new RangeError('The calendar could not be written.');
  return value;
}

function namesOf(plan: BatchPlan): (hoopingId: string) => string {
  return (hoopingId) => {
    const found = plan.hoopings.find(({ id }) => id === hoopingId);
    const [first, last] = [found?.numbers[0], found?.numbers.at(-1)];
    return found ? `${found.name} ${first === last ? first : `${first} to ${last}`}` : '';
  };
}
