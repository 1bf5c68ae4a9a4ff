import type { Bench } from './schema';

/** Seconds of a day. */
export const DAY_S = 86_400;
/** Days that are laid out ahead; nobody plans further. */
const DAYS = 366;

/** A stretch of time, s from the midnight before the order begins. */
export interface Span {
  from: number;
  to: number;
}

/** When hands are at the bench, and when a machine may run: also while hands have their break, within earshot. */
export interface Calendar {
  hands: Span[];
  needle: Span[];
}

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

/**
 * The first time from `at` on when a piece of work fits into one stretch; one longer than every stretch begins as soon
 * as it can and goes on in the next.
 *
 * @param seconds of work
 *
 * @example
 * fitIn([{ from: 0, to: 100 }, { from: 200, to: 400 }], 50, 80) // { from: 200, to: 280 }
 */
export function fitIn(spans: readonly Span[], at: number, seconds: number): Span {
  let index = firstOpen(spans, at);
  const first = index;
  for (; index < spans.length; index++) {
    const span = spans[index];
    if (!span) break;
    const from = Math.max(at, span.from);
    if (from + seconds <= span.to + 1e-6) return { from, to: from + seconds };
    // No later stretch is tried for long: days are alike, so what does not fit within a fortnight never does.
    if (span.from > at + 14 * DAY_S) break;
  }
  return spread(spans, first, at, seconds);
}

function spread(spans: readonly Span[], first: number, at: number, seconds: number): Span {
  let left = seconds;
  let from: number | null = null;
  for (let index = first; index < spans.length; index++) {
    const span = spans[index];
    if (!span) break;
    const start = Math.max(at, span.from);
    from ??= start;
    if (start + left <= span.to) return { from, to: start + left };
    left -= span.to - start;
  }
  // Beyond the last day that is laid out the clock goes on.
  const end = Math.max(at, spans.at(-1)?.to ?? at);
  return { from: from ?? end, to: end + left };
}

/**
 * When so many seconds of open time have passed, from a time on.
 *
 * @example
 * openAfter([{ from: 0, to: 100 }, { from: 200, to: 400 }], 50, 80) // 230
 */
export function openAfter(spans: readonly Span[], at: number, seconds: number): number {
  return seconds <= 0 ? at : spread(spans, firstOpen(spans, at), at, seconds).to;
}

/** Index of the first stretch that ends after a time. */
function firstOpen(spans: readonly Span[], at: number): number {
  let [low, high] = [0, spans.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((spans[middle]?.to ?? Infinity) <= at) low = middle + 1;
    else high = middle;
  }
  return low;
}
