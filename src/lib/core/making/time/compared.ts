import { formatMinutes } from '$lib/core/base/units';
import type { Estimate } from '$lib/core/documents/plan';

/** Times of one item that come from elsewhere, min; and what we estimate, s. */
export interface TimesApart {
  /** What a seller says. */
  claimed?: number | undefined;
  /** What the machine shows. */
  displayed?: number | undefined;
  /** Needle and hands of runs in the log, s. */
  logged: readonly { needle: number; hands: number }[];
  needle: Estimate;
  hands: Estimate;
  stitches: number;
}

/** One time held against the estimate, in a sentence. */
export interface Compared {
  of: 'claimed' | 'displayed' | 'logged';
  words: string;
  /** The machine’s pace as that time has it, stitches a minute, where it is another than the estimate’s. */
  pace?: number;
}

/** A time so near to another is the same. */
const SAME = 0.03;
const S_PER_MIN = 60;

/**
 * Times of an item held against the estimate, each in one sentence that says why they differ, where they do.
 *
 * @example
 * comparedTimes({ displayed: 60, stitches: 23_460, … }) // [{ of: 'displayed', pace: 391, words: 'The machine shows …' }]
 */
export function comparedTimes(times: TimesApart): Compared[] {
  return [claimed(times), displayed(times), logged(times)].flatMap((each) => each ?? []);
}

function claimed({ claimed: said, needle, hands }: TimesApart): Compared | null {
  if (said === undefined) return null;
  const own = said * S_PER_MIN;
  const both = { low: needle.low + hands.low, high: needle.high + hands.high };
  const told = formatMinutes(own);
  const words = isIn(own, both)
    ? `The seller’s ${told} is within what is estimated for needle and hands together.`
    : isIn(own, needle)
      ? `The seller’s ${told} is the needle alone: hands take ${formatMinutes(hands.value)} besides.`
      : own < both.low
        ? `The seller’s ${told} is less than estimated: needle and hands take ${formatMinutes(needle.value + hands.value)}.`
        : `The seller’s ${told} is more than estimated, ${formatMinutes(needle.value + hands.value)}: it may count waiting, or a slower machine.`;
  return { of: 'claimed', words };
}

function displayed({ displayed: said, needle, stitches }: TimesApart): Compared | null {
  if (said === undefined || said <= 0) return null;
  const shown = said * S_PER_MIN;
  const averages = (seconds: number): number => Math.round((stitches * S_PER_MIN) / seconds);
  if (Math.abs(shown - needle.value) <= SAME * needle.value || averages(shown) === 0)
    return { of: 'displayed', words: `The machine’s ${formatMinutes(shown)} agrees with the estimate.` };
  const why = isIn(shown, needle) ? ', whose range it is in' : '';
  return {
    of: 'displayed',
    words: `The machine shows ${formatMinutes(shown)}, the estimate says ${formatMinutes(needle.value)}${why}: it averages ${averages(shown)} stitches a minute, and is taken for ${averages(needle.value)}.`,
    pace: averages(shown)
  };
}

function logged({ logged: runs, needle, hands }: TimesApart): Compared | null {
  if (runs.length === 0) return null;
  const mean = (kind: 'needle' | 'hands'): number =>
    runs.reduce((sum, run) => sum + run[kind], 0) / runs.length;
  const off = (['needle', 'hands'] as const).filter(
    (kind) => !isIn(mean(kind), kind === 'needle' ? needle : hands)
  );
  const many = runs.length === 1 ? 'The run' : `The ${runs.length} runs`;
  if (off.length === 0) return { of: 'logged', words: `${many} in the log took what is estimated.` };
  const said = off.map(
    (kind) =>
      `${formatMinutes(mean(kind))} ${kind} instead of ${formatMinutes((kind === 'needle' ? needle : hands).value)}`
  );
  return {
    of: 'logged',
    words: `${many} in the log took ${said.join(' and ')}: the next estimate learns from it.`
  };
}

const isIn = (own: number, { low, high }: { low: number; high: number }): boolean =>
  own >= low && own <= high;
