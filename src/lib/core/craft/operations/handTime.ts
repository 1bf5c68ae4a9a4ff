import type { Item, Operation } from '$lib/core/documents/item';
import type { HandTimeKey, HandTimes, Machine } from '$lib/core/documents/shop';
import { traitsOf } from './table';
import { spent } from './time';

/** One share of a hand step’s time: which hand time it is, how often, and the seconds. */
export interface TimePart {
  key: HandTimeKey | 'other';
  times: number;
  seconds: number;
}

export interface HandTime {
  hands: number;
  waiting: number;
  parts: TimePart[];
}

/**
 * Time of a hand step from the shop’s hand times, s, with the parts it is made of. Waiting is kept apart.
 *
 * @example
 * handTime({ do: 'cut-out', lineId: 'outline', margin: 3 }, tab, shop.hands, machine).hands
 * // 66.2: 30 and 1.5 for each of the 24.1 cm of the tab’s cut edge
 */
export function handTime(op: Operation, item: Item, hands: HandTimes, machine: Machine): HandTime {
  const { time, waits } = traitsOf(op.do);
  const all = typeof time === 'string' ? [spent(time)] : time(op, { item, hands, machine });
  const parts = all.map((part): TimePart => ({
    key: part.key,
    times: part.times,
    seconds: part.key === 'other' ? part.seconds : hands[part.key] * part.times
  }));
  return {
    hands: parts.reduce((sum, { seconds }) => sum + seconds, 0),
    waiting: waits ? hands[waits(op)] : 0,
    parts
  };
}
