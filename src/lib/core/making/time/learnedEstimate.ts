import type { Estimate, TimeKind } from '$lib/core/documents/plan';
import type { Factor, LearnedHands, LearnedMachine } from '$lib/core/documents/shop';
import { fromDefaults, fromNormal } from './estimate';
import type { NeedleParts } from './needleTime';

/** The part of a step that a hand time stands for. */
interface Part {
  key: string;
  seconds: number;
}

/**
 * Hands of one or several steps by what runs tell of the person; the craft’s defaults where they tell nothing.
 *
 * @param steps parts of each step, s as they stand in the shop
 *
 * @example
 * handsEstimate([[{ key: 'lay', seconds: 30 }]], undefined).value // 30
 */
export function handsEstimate(
  steps: readonly (readonly Part[])[],
  learned: LearnedHands | undefined
): Estimate {
  if (!learned) return sumOfDefaults('hands', steps.flat());
  const byKey = new Map<string, number>();
  let strays = 0;
  let samples = 0;
  for (const parts of steps) {
    let step = 0;
    for (const { key, seconds } of parts) {
      const factor = learned.factors[key] ?? learned.shared;
      const expected = seconds * Math.exp(factor.mean + learned.noise ** 2 / 2);
      byKey.set(key, (byKey.get(key) ?? 0) + expected);
      step += expected;
    }
    strays += (step * learned.noise) ** 2;
  }
  let [value, variance] = [0, strays];
  for (const [key, expected] of byKey) {
    const factor = learned.factors[key] ?? learned.shared;
    value += expected;
    variance += (expected * factor.sd) ** 2;
    samples += factor.samples;
  }
  return fromNormal('hands', value, Math.sqrt(variance), sourceOf(samples, learned.runs), samples);
}

/**
 * Needle time of one or several stops of one run by what runs tell of the machine.
 *
 * @example
 * needleEstimate([{ stitching: 225, overhead: 4, trims: 0 }], undefined).value // 229
 */
export function needleEstimate(stops: readonly NeedleParts[], learned: LearnedMachine | undefined): Estimate {
  if (!learned)
    return sumOfDefaults(
      'needle',
      stops.map(({ stitching, overhead, trims }) => ({ seconds: stitching + overhead + trims }))
    );
  let [value, variance] = [0, 0];
  for (const kind of ['stitching', 'overhead', 'trims'] as const) {
    const factor = factorOf(kind, learned);
    const expected = stops.reduce((sum, stop) => sum + stop[kind], 0) * Math.exp(factor.mean);
    value += expected;
    variance += (expected * factor.sd) ** 2;
  }
  // What is particular to a run holds for all its stops; what is particular to a stop mostly cancels out.
  variance += (value * learned.runNoise) ** 2;
  variance += stops.reduce((sum, stop) => {
    const own = (['stitching', 'overhead', 'trims'] as const).reduce((all, kind) => all + stop[kind], 0);
    return sum + (own * learned.stopNoise) ** 2;
  }, 0);
  return fromNormal('needle', value, Math.sqrt(variance), sourceOf(learned.runs, learned.runs), learned.runs);
}

function factorOf(kind: keyof NeedleParts, { speed, overhead, trims }: LearnedMachine): Factor {
  return kind === 'stitching' ? speed : kind === 'overhead' ? overhead : trims;
}

function sumOfDefaults(kind: TimeKind, parts: readonly { seconds: number }[]): Estimate {
  return fromDefaults(
    kind,
    parts.reduce((sum, { seconds }) => sum + seconds, 0)
  );
}

function sourceOf(samples: number, runs: number): string {
  if (samples === 0) return 'craft defaults';
  return `${runs} logged ${runs === 1 ? 'run' : 'runs'}`;
}
