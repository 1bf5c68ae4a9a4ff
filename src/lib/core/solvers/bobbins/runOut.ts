import type { BobbinChange, BobbinStop } from './types';

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

/** A place on the way through the stops: so much of one of them is stitched. */
export interface BobbinPlace {
  at: number;
  share: number;
}

/** When a bobbin that was planned to run out comes off. */
export interface RunOut {
  /** Where it runs out if every stop takes the most. */
  earliest: BobbinPlace;
  /** Where it is expected to run out; null where it lasts until it is changed by hand. */
  expected: BobbinPlace | null;
  /** Index of the stop before which it is changed at the latest; null where it may run out wherever it does. */
  before: number | null;
}

/** What is on the bobbin in the machine at the ends of a stop, m. */
export interface BobbinLevel {
  colour: string;
  before: number;
  after: number;
}

/**
 * Follows a bobbin plan with the thread that is expected. The plan was made for the most a stop may take, so a bobbin
 * mostly lasts longer: it stays on until it is empty, but comes off at the latest before the next protected stop, which
 * was planned with the one after it.
 *
 * @param stops what each is expected to take
 * @param most what each may take, as the plan was made
 */
export function followBobbins(
  stops: readonly BobbinStop[],
  most: readonly BobbinStop[],
  changes: readonly BobbinChange[],
  start: { colour: string; metres: number } | null = null
): { levels: BobbinLevel[]; runOuts: (RunOut | null)[] } {
  const runOuts = changes.map(({ at, into }): RunOut | null =>
    into > 0
      ? { earliest: { at, share: into / (most[at]?.metres ?? into) }, expected: null, before: null }
      : null
  );
  const levels: BobbinLevel[] = [];
  /** The bobbin the plan has come to, and the one that is really on. */
  let [planned, on] = [-1, -1];
  let left = start?.metres ?? 0;
  const putOn = (index: number): void => {
    on = index;
    left = changes[index]?.metres ?? left;
  };
  stops.forEach((stop, at) => {
    while (changes[planned + 1]?.at === at && changes[planned + 1]?.into === 0) putOn(++planned);
    const isHalted = stop.protected;
    if (isHalted && on < planned) {
      for (let index = on + 1; index <= planned; index++) setBefore(runOuts[index], at);
      putOn(planned);
    }
    const before = left;
    let done = 0;
    while (changes[planned + 1]?.at === at) {
      planned += 1;
      if (!isHalted) continue;
      // A planned halt comes where it was planned, however much is left.
      const share = (changes[planned]?.into ?? 0) / (most[at]?.metres ?? 1);
      done = share * stop.metres;
      const out = runOuts[planned];
      if (out) out.expected = { at, share };
      putOn(planned);
    }
    let needs = stop.metres - done;
    for (; needs > left + 1e-9 && on < planned; putOn(on + 1)) {
      needs -= left;
      const out = runOuts[on + 1];
      if (out) out.expected = { at, share: (stop.metres - needs) / stop.metres };
    }
    left = Math.max(0, left - needs);
    levels.push({ colour: changes[on]?.colour ?? start?.colour ?? '', before, after: left });
  });
  runOuts.forEach((out, index) => {
    if (out && out.before === null) out.before = deadline(stops, changes, index);
  });
  return { levels, runOuts };
}

function setBefore(out: RunOut | null | undefined, at: number): void {
  if (out) out.before = at;
}

/** The next protected stop after a bobbin was planned to run out, unless another is put on before. */
function deadline(
  stops: readonly BobbinStop[],
  changes: readonly BobbinChange[],
  index: number
): number | null {
  const from = changes[index]?.at ?? 0;
  const next = stops.findIndex((stop, at) => at > from && stop.protected);
  const other = changes.slice(index + 1).find(({ into }) => into === 0)?.at;
  if (next < 0) return other ?? null;
  return other === undefined ? next : Math.min(next, other);
}
