import type { PlanStep } from '$lib/core/documents/plan';
import type { Fault } from '$lib/core/documents/run';

/** Stitches a machine is backed up after a thread has run out or broken, so that the new one laps over the old. */
export const BACK_UP = 10;

/** How to put a fault right, step by step. */
export interface Recovery {
  title: string;
  steps: string[];
  /** Whether the stitch number is worth asking for. */
  asksStitch: boolean;
}

const NAMES: Record<Fault, string> = {
  'thread-broke': 'Thread broke',
  'bobbin-out': 'Bobbin is out',
  nest: 'Nest underneath',
  'wrong-hoop': 'Wrong hoop',
  'skipped-stop': 'A stop was skipped',
  'wrong-piece': 'Wrong piece, or wrong way up'
};

/**
 * What a fault is called.
 *
 * @example
 * faultName('nest') // 'Nest underneath'
 */
export function faultName(fault: Fault): string {
  return NAMES[fault];
}

/**
 * How a fault at a step is put right, in order. The machine is halted first in every one of them.
 *
 * @param stitch the stitch at which it happened; null where it is not known
 * @param hoop name of the hoop the plan is for
 *
 * @example
 * recoveryFor('bobbin-out', edge, 3120, 'Small hoop').steps.at(-1)
 * // 'Go back to about stitch 3,110, hold both tails, and go on.'
 */
export function recoveryFor(
  fault: Fault,
  step: Pick<PlanStep, 'title' | 'thread' | 'stop'>,
  stitch: number | null,
  hoop: string
): Recovery {
  const thread = step.thread?.name ?? 'the same thread';
  const from =
    stitch === null
      ? `Back up about ${BACK_UP} stitches`
      : `Go back to about stitch ${Math.max(0, stitch - BACK_UP).toLocaleString('en')}`;
  return { title: NAMES[fault], ...stepsFor(fault, step, thread, from, hoop) };
}

function stepsFor(
  fault: Fault,
  { stop, title }: Pick<PlanStep, 'title' | 'stop'>,
  thread: string,
  from: string,
  hoop: string
): Omit<Recovery, 'title'> {
  const number = stop?.machineNumber ?? null;
  const place = number === null ? title.toLowerCase() : `stop ${number}`;
  switch (fault) {
    case 'thread-broke':
      return {
        asksStitch: true,
        steps: [
          'Halt. Hands only once the needle stands.',
          'Cut at the spool and pull the rest out through the needle, never backwards.',
          `Thread ${thread} again from the spool on, presser foot up. Look whether it caught at the spool.`,
          `${from}, hold the tail, and go on.`
        ]
      };
    case 'bobbin-out':
      return {
        asksStitch: true,
        steps: [
          'Leave the work in the hoop: taken off the machine it may lose its place, unhooped it surely does.',
          'Put a full bobbin in, its tail under the spring.',
          `${from}, hold both tails, and go on.`
        ]
      };
    case 'nest':
      return {
        asksStitch: true,
        steps: [
          'Halt, and do not pull. Presser foot up.',
          'Take the hoop off gently; if it hangs, slide scissors between needle plate and fabric and snip the nest.',
          'Pick the loops out from behind, take lint and ends out of the bobbin case, put the bobbin back in.',
          `Thread ${thread} again with the foot up: most nests are upper thread outside its tension.`,
          `Hoop on, seated fully. ${from}, keep a long tail in your hand for the first stitches.`
        ]
      };
    case 'wrong-hoop':
      return {
        asksStitch: false,
        steps: [
          'Halt before the needle comes near the ring: a needle that hits it breaks.',
          `Set ${hoop.toLowerCase()} at the machine, or put that hoop on. The file must be the one for it.`,
          'Align the arrows of the ring, trace the design once, eyes on the needle.',
          `If ${place} has stitched in the wrong place, pick it out and run it again.`
        ]
      };
    case 'skipped-stop':
      return {
        asksStitch: false,
        steps: [
          'Halt. Is the work still in the hoop? Then the stop can still be stitched in its place.',
          'Look whether a piece laid since would be stitched down by it; if so lift that piece first.',
          'Send the machine to the stop that was left out, stitch it, then come back here.',
          'Press “Skip” on this screen for whatever waits, and “Waiting” to come back to it.'
        ]
      };
    case 'wrong-piece':
      return {
        asksStitch: false,
        steps: [
          'Halt. Nothing is lost while the work stays in the hoop.',
          `Pick out the stitches of ${place} from behind, a few at a time; do not pull the hooped layer.`,
          'Lift the piece off, lay the right one: its face as the sheet says, covering the line by 6 mm at least.',
          `Run ${place} again.`
        ]
      };
  }
}
