import { seeded } from '$lib/core/base/units';
import type { MachineState } from './schema';

/** One fault in five is a nest, the others are broken threads. */
const NESTS = 0.2;
const STITCHES = 10_000;

/**
 * The next fault in the stop a machine stands in, if there is one. Faults lie at the same stitches for the same seed, stop
 * and pass, however the time is cut; one that has been passed does not come again.
 */
export function nextFault({
  setup,
  job,
  at,
  reached,
  passes
}: MachineState): { stitch: number; head: number; kind: 'thread-broke' | 'nest' } | null {
  const stop = job?.stops[at];
  const rate = (setup.faultsPer10k * setup.heads) / STITCHES;
  if (!stop || rate <= 0) return null;
  const random = seeded(
    (setup.seed ^ Math.imul(at + 1, 0x9e3779b1) ^ Math.imul(passes[at] ?? 1, 0x85ebca6b)) >>> 0
  );
  // Gaps between faults that come by chance are exponential.
  for (let stitch = gap(random(), rate); stitch < stop.stitches; stitch += gap(random(), rate)) {
    const head = 1 + Math.floor(random() * setup.heads);
    const kind = random() < NESTS ? 'nest' : 'thread-broke';
    if (stitch > reached) return { stitch, head, kind };
  }
  return null;
}

const gap = (chance: number, rate: number): number => 1 + Math.ceil(-Math.log(1 - chance) / rate);
