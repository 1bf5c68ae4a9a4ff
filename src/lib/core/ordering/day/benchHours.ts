import type { Bench } from '$lib/core/documents/order';
import { type Calendar, DAY_S, type Span } from '$lib/core/solvers/schedule';

/** Days that are laid out ahead; nobody plans further. */
const DAYS = 366;

/**
 * The hours of a bench, day after day.
 *
 * @param weekday day of the week on which the order begins, Sunday is 0
 *
 * @example
 * calendarOf({ from: 540, to: 1020, breaks: [{ from: 720, to: 750 }], days: [1] }, 1).hands[0] // { from: 32400, to: 43200 }
 */
export function calendarOf({ from, to, breaks, days }: Bench, weekday: number): Calendar {
  const hands: Span[] = [];
  const needle: Span[] = [];
  const sorted = breaks.toSorted((a, b) => a.from - b.from);
  for (let day = 0; day < DAYS; day++) {
    if (!days.includes((weekday + day) % 7)) continue;
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

/** Adds a stretch; one that goes on where the last ended, as round the clock, makes it longer. */
function push(spans: Span[], from: number, to: number): void {
  if (to <= from) return;
  const last = spans.at(-1);
  if (last && last.to >= from) last.to = Math.max(last.to, to);
  else spans.push({ from, to });
}
