import type { BobbinChange, BobbinStop } from './bobbins';

/** How far makers differ in what they take from the bobbin, and how far one bobbin does from the next (log-normal). */
const BETWEEN_MAKERS = 0.12;
const BETWEEN_BOBBINS = 0.06;
/** One bobbin in twenty may run out before the margin says so. */
const SIGMAS = 1.645;

/** What logged run-outs tell of the thread a bobbin gives. */
export interface BobbinUse {
  /** Thread really taken for each metre estimated. */
  factor: number;
  /** Share by which a stop may take more; it shrinks as run-outs are logged. */
  margin: number;
  /** Run-outs it rests on. */
  samples: number;
}

/**
 * Corrects the thread taken from the bobbin by recorded run-outs. A few of them move the estimate only so far: the mean
 * is weighed against what makers usually take.
 *
 * @param measured for each run-out, metres on the bobbin divided by metres estimated until it ran out
 *
 * @example
 * bobbinUse([]) // { factor: 1, margin: 0.247, samples: 0 }
 */
export function bobbinUse(measured: readonly number[]): BobbinUse {
  const logs = measured.filter((ratio) => ratio > 0 && Number.isFinite(ratio)).map(Math.log);
  const weight = 1 / BETWEEN_BOBBINS ** 2;
  const precision = 1 / BETWEEN_MAKERS ** 2 + logs.length * weight;
  const mean = (logs.reduce((sum, log) => sum + log, 0) * weight) / precision;
  const sigma = Math.sqrt(1 / precision + BETWEEN_BOBBINS ** 2);
  return { factor: Math.exp(mean), margin: Math.exp(SIGMAS * sigma) - 1, samples: logs.length };
}

/** Where a bobbin is expected to run out. */
export interface RunOut {
  /** Index of the stop, and the share of it that is stitched by then. */
  at: number;
  share: number;
  /** The same places as shares of the stop: at the earliest, and at the latest; 1 where it may last to its end. */
  earliest: number;
  latest: number;
  /** The bobbin may last to the end of the stop; it is changed then all the same. */
  mayLast: boolean;
}

/** What is on the bobbin in the machine at the ends of a stop, m. */
export interface BobbinLevel {
  colour: string;
  before: number;
  after: number;
}

/**
 * Follows a bobbin plan with the thread that is expected. The plan itself was made for the most a stop may take, so a
 * bobbin that lasts longer comes off at the end of the stop it was planned to run out in.
 *
 * @param stops what each is expected to take
 * @param margin share by which it may be more, or less
 */
export function followBobbins(
  stops: readonly BobbinStop[],
  changes: readonly BobbinChange[],
  margin: number,
  start: { colour: string; metres: number } | null = null
): { levels: BobbinLevel[]; runOuts: (RunOut | null)[] } {
  const levels: BobbinLevel[] = [];
  const runOuts: (RunOut | null)[] = changes.map(() => null);
  let colour = start?.colour ?? '';
  const left = { expected: start?.metres ?? 0, most: start?.metres ?? 0 };
  stops.forEach(({ metres }, at) => {
    const here = changes.flatMap((change, index) => (change.at === at ? [{ change, index }] : []));
    let done = 0;
    for (const { change, index } of here) {
      if (change.into > 0) {
        // Planned for (1 + margin) of what is expected, so the share of the stop follows from there.
        const share = Math.min(1, (done + left.expected) / metres);
        const latest = Math.min(1, (done + left.most / (1 - margin)) / metres);
        const earliest = change.into / (metres * (1 + margin));
        runOuts[index] = { at, share, earliest, latest, mayLast: latest >= 1 };
        done = share * metres;
      }
      colour = change.colour;
      left.expected = change.metres;
      left.most = change.metres;
    }
    const first = here.find(({ change }) => change.into === 0)?.change;
    const before = first?.metres ?? levels.at(-1)?.after ?? start?.metres ?? 0;
    left.expected = Math.max(0, left.expected - (metres - done));
    left.most = Math.max(0, left.most - (metres - done) * (1 - margin));
    levels.push({ colour, before, after: left.expected });
  });
  return { levels, runOuts };
}
