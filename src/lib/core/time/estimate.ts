import { z } from 'zod';

/** The three kinds of time; they are never added into one number. */
export const TIME_KINDS = ['hands', 'needle', 'waiting'] as const;
export type TimeKind = (typeof TIME_KINDS)[number];

/** A time in seconds with the range it lies in four times in five. */
export const Estimate = z.object({
  kind: z.enum(TIME_KINDS),
  value: z.number().min(0),
  low: z.number().min(0),
  high: z.number().min(0),
  source: z.string().describe('what the estimate rests on'),
  samples: z.number().int().min(0).describe('logged steps behind it')
});
export type Estimate = z.infer<typeof Estimate>;

/**
 * Spread of what makers and machines really take about the defaults, as the sigma of a log-normal: hands
 * differ by about 40 % between people, needles by about 25 % between machines. Waiting is as told.
 */
const SIGMA: Record<TimeKind, number> = { hands: 0.4, needle: 0.25, waiting: 0 };

/** Four times in five lie within this many sigmas of the middle. */
const Z80 = 1.2816;

/**
 * An estimate from the craft’s defaults, before any run has been logged.
 *
 * @param kind whose time it is
 * @param seconds middle value, s
 *
 * @example
 * fromDefaults('needle', 492).high // 677.8, that is 492 × e^(0.25 × 1.2816)
 */
export function fromDefaults(kind: TimeKind, seconds: number): Estimate {
  const factor = Math.exp(SIGMA[kind] * Z80);
  return {
    kind,
    value: seconds,
    low: seconds / factor,
    high: seconds * factor,
    source: 'craft defaults',
    samples: 0
  };
}

/**
 * Sum of estimates of one kind. One person and one machine do all steps, so the errors go together: lows
 * add to a low, highs to a high.
 *
 * @throws RangeError when an estimate is of another kind
 */
export function sumEstimates(kind: TimeKind, estimates: readonly Estimate[]): Estimate {
  const sum = fromDefaults(kind, 0);
  for (const { kind: other, value, low, high, samples } of estimates) {
    if (other !== kind) throw new RangeError(`${other} time cannot be added to ${kind} time.`);
    sum.value += value;
    sum.low += low;
    sum.high += high;
    sum.samples += samples;
  }
  return sum;
}
