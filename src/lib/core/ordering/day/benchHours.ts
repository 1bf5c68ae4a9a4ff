import type { Bench, Workroom } from '$lib/core/documents/shop';
import { type Calendar, DAY_S, type Span } from '$lib/core/solvers/schedule';
import { secondsBetween, wallTimeAt, weekdayOf } from './wallTime';

/** Days that are laid out ahead; nobody plans further. */
const DAYS = 366;

/**
 * The hours of a bench, day after day, days off left out.
 *
 * @param begins wall time of the day on which the order begins
 *
 * @example
 * const bench = { from: 540, to: 1020, breaks: [{ from: 720, to: 750 }], days: [1] };
 * calendarOf(bench, '2026-11-30T08:00').hands[0] // { from: 32400, to: 43200 }: a Monday
 */
export function calendarOf({ breaks, days, ...usual }: Bench, begins: string, workroom?: Workroom): Calendar {
  const weekday = weekdayOf(begins);
  const off = new Set(workroom?.daysOff);
  const others = new Map(workroom?.otherHours.map((each) => [each.day, each]));
  const hands: Span[] = [];
  const needle: Span[] = [];
  const sorted = breaks.toSorted((a, b) => a.from - b.from);
  for (let day = 0; day < DAYS; day++) {
    const date = wallTimeAt(begins, day * DAY_S).slice(0, 10);
    const other = others.get(date);
    if (off.has(date) || !(other || days.includes((weekday + day) % 7))) continue;
    const { from, to } = other ?? usual;
    const at = (minute: number): number => day * DAY_S + minute * 60;
    push(needle, at(from), at(to));
    let open = from;
    for (const pause of sorted) {
      push(hands, at(open), at(Math.min(pause.from, to)));
      open = Math.max(open, pause.to);
    }
    push(hands, at(open), at(to));
  }
  return { hands, needle };
}

/**
 * When a machine is away.
 *
 * @param begins wall time of the day on which the order begins
 */
export function awaySpans(machineId: string, begins: string, workroom: Workroom | undefined): Span[] {
  return (workroom?.away ?? [])
    .filter((each) => each.machineId === machineId)
    .map(({ from, to }) => ({ from: secondsBetween(begins, from), to: secondsBetween(begins, to) }))
    .toSorted((a, b) => a.from - b.from);
}

/** Adds a stretch; one that goes on where the last ended, as round the clock, makes it longer. */
function push(spans: Span[], from: number, to: number): void {
  if (to <= from) return;
  const last = spans.at(-1);
  if (last && last.to >= from) last.to = Math.max(last.to, to);
  else spans.push({ from, to });
}
