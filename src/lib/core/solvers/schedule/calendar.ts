/** Seconds of a day. */
export const DAY_S = 86_400;

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
 * Stretches without those when somebody or something is away.
 *
 * @example
 * without([{ from: 0, to: 100 }], [{ from: 20, to: 30 }]) // [{ from: 0, to: 20 }, { from: 30, to: 100 }]
 */
export function without(spans: readonly Span[], away: readonly Span[]): Span[] {
  return away.reduce<Span[]>(
    (left, gap) =>
      left.flatMap((span) =>
        gap.to <= span.from || gap.from >= span.to
          ? [span]
          : [
              { from: span.from, to: gap.from },
              { from: gap.to, to: span.to }
            ].filter(({ from, to }) => to > from)
      ),
    [...spans]
  );
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
