import { Estimate, type TimeKind } from '$lib/core/documents/plan';

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

/** Half the times lie within this many sigmas of the middle. */
const Z50 = 0.6745;

/**
 * An estimate from a mean and its deviation, taken as log-normal with these two moments.
 *
 * @param seconds mean, s
 * @param deviation standard deviation, s
 *
 * @example
 * fromNormal('hands', 100, 10, '5 logged runs', 5).high // 113.1
 */
export function fromNormal(
  kind: TimeKind,
  seconds: number,
  deviation: number,
  source: string,
  samples: number
): Estimate {
  if (seconds <= 0) return { kind, value: 0, low: 0, high: 0, source, samples };
  const sigma = Math.sqrt(Math.log(1 + (deviation / seconds) ** 2));
  const middle = seconds * Math.exp(-(sigma ** 2) / 2);
  const factor = Math.exp(Z80 * sigma);
  return { kind, value: seconds, low: middle / factor, high: middle * factor, source, samples };
}

/**
 * The range in which half the times lie, from the one in which four of five do.
 *
 * @example
 * halfRange(fromDefaults('needle', 492)) // { low: 415.7, high: 582.3 }
 */
export function halfRange({ low, high }: Estimate): { low: number; high: number } {
  if (low <= 0 || high <= low) return { low, high };
  const middle = Math.sqrt(low * high);
  const factor = (high / low) ** (Z50 / Z80 / 2);
  return { low: middle / factor, high: middle * factor };
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
