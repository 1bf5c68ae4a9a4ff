import { secondsBetween } from '$lib/core/ordering/day';
import type { KeptWeek } from './keptWeek';

/** An order that ends at another time than was said, s; later is above 0. */
export interface Move {
  orderId: string;
  name: string;
  before: string;
  after: string;
  seconds: number;
}

/** What moved since a week was kept, and why. */
export interface Moved {
  moves: Move[];
  /** What changed, the likeliest reason first, in words; told only where something moved. */
  why: string[];
}

/** An end that moves by less is not told, s. */
const WORTH_TELLING_S = 900;

/**
 * What moved between two plans of the week and why: orders that came or went, more or fewer pieces, other hours, a machine away,
 * more or less done than planned by now.
 *
 * @example
 * moved(monday, tuesday) // { moves: [{ name: 'Gala', seconds: 7200, … }], why: ['2026-12-02 is a day off.'] }
 */
export function moved(before: KeptWeek, after: KeptWeek): Moved {
  const moves = after.orders.flatMap((order): Move[] => {
    const was = before.orders.find(({ id }) => id === order.id);
    if (!was) return [];
    const seconds = secondsBetween(was.finish, order.finish) - secondsBetween(was.finish, was.finish);
    return Math.abs(seconds) < WORTH_TELLING_S
      ? []
      : [{ orderId: order.id, name: order.name, before: was.finish, after: order.finish, seconds }];
  });
  return { moves, why: moves.length === 0 ? [] : reasons(before, after) };
}

function reasons(before: KeptWeek, after: KeptWeek): string[] {
  const names = (list: KeptWeek['orders']): Map<string, KeptWeek['orders'][number]> =>
    new Map(list.map((order) => [order.id, order]));
  const [was, is] = [names(before.orders), names(after.orders)];
  const told: string[] = [];
  for (const [id, { name }] of is) if (!was.has(id)) told.push(`${name} came in.`);
  for (const [id, { name }] of was) if (!is.has(id)) told.push(`${name} is no longer open.`);
  for (const [id, order] of is) {
    const old = was.get(id);
    if (!old) continue;
    const more = order.pieces - old.pieces;
    if (more !== 0)
      told.push(`${order.name}: ${Math.abs(more)} ${more > 0 ? 'more' : 'fewer'} ordered than before.`);
    if (order.goes !== old.goes)
      told.push(`${order.name} goes ${order.goes ? `${order.goes} now` : 'by its date again'}.`);
    if (order.due !== old.due) told.push(`${order.name} has another date.`);
    const late = planned(before, after.at, id) - (old.left - order.left + Math.max(0, more));
    if (more === 0 && late !== 0)
      told.push(
        `${order.name}: ${Math.abs(late)} ${Math.abs(late) === 1 ? 'copy' : 'copies'} ${late > 0 ? 'fewer' : 'more'} done than planned by now.`
      );
  }
  return [...told, ...roomReasons(before.room, after.room)];
}

/** Copies of an order that should have been through by a time. */
function planned({ hoopings }: KeptWeek, now: string, orderId: string): number {
  return hoopings
    .filter((each) => each.orderId === orderId && each.to <= now)
    .reduce((sum, { copies }) => sum + copies, 0);
}

function roomReasons(was: KeptWeek['room'], is: KeptWeek['room']): string[] {
  const added = (from: readonly string[], to: readonly string[]): string[] =>
    to.filter((each) => !from.includes(each));
  return [
    ...(was.hours === is.hours ? [] : ['The hours of the workroom are others.']),
    ...(was.people === is.people
      ? []
      : [`${is.people} ${is.people === 1 ? 'person works' : 'people work'} here now.`]),
    ...added(was.daysOff, is.daysOff).map((day) => `${day} is a day off.`),
    ...added(is.daysOff, was.daysOff).map((day) => `${day} is no day off any more.`),
    ...added(was.otherHours, is.otherHours).map((hours) => `Other hours on ${hours}.`),
    ...added(is.otherHours, was.otherHours).map((hours) => `The usual hours again on ${hours.slice(0, 10)}.`),
    ...added(was.away, is.away).map((words) => `Away: ${words.replaceAll('T', ' ')}.`),
    ...added(is.away, was.away).map((words) => `Not away any more: ${words.replaceAll('T', ' ')}.`)
  ];
}
