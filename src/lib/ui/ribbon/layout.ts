import type { RibbonStep } from '$lib/core/making/summary';

export interface RibbonPart extends RibbonStep {
  x: number;
  width: number;
  /** Row of a number that stands above its stop because it does not fit inside, from the stop up. */
  labelRow: number | null;
}

/** Waiting is not drawn to scale: hours of drying would leave nothing of the rest. */
const WAIT_WIDTH = 58;
const LEAST_WIDTH = 3;
/** Room a number needs inside its stop, and above it, px per character and around. */
const LABEL_INSIDE = 11;
const LABEL_PAD = 7;

/** Seconds of needle and hands together: what a ribbon’s length stands for. */
export function ribbonSeconds(steps: readonly RibbonStep[]): number {
  return steps.reduce((sum, { kind, seconds }) => sum + (kind === 'waiting' ? 0 : seconds), 0);
}

/**
 * Lays steps along a band, true to time. Steps too short to see get 3 px, which the others give up in
 * proportion; waiting gets a fixed width.
 *
 * @param width width of the band, px
 * @param fullSeconds seconds that fill the band; its own where missing, the longer run’s where two are compared
 *
 * @example
 * layoutRibbon(steps, 1000).at(-1) // ends at x + width = 1000
 */
export function layoutRibbon(
  steps: readonly RibbonStep[],
  width: number,
  fullSeconds = ribbonSeconds(steps)
): RibbonPart[] {
  const waits = steps.filter(({ kind }) => kind === 'waiting').length;
  const band = Math.max(0, width - waits * WAIT_WIDTH);
  const scale = pixelsPerSecond(steps, fullSeconds, band);
  let x = 0;
  const labelEnds: number[] = [];
  return steps.map((step): RibbonPart => {
    const own = step.kind === 'waiting' ? WAIT_WIDTH : Math.max(LEAST_WIDTH, step.seconds * scale);
    const needs = step.label.length * LABEL_INSIDE + LABEL_PAD;
    let labelRow: number | null = null;
    if (step.label !== '' && own < needs) {
      const left = x + own / 2 - needs / 2;
      labelRow = labelEnds.findIndex((end) => end <= left);
      if (labelRow < 0) labelRow = labelEnds.length;
      labelEnds[labelRow] = left + needs;
    }
    const part = { ...step, x, width: own, labelRow };
    x += own;
    return part;
  });
}

/** The scale at which all steps, the short ones widened, just fill the band: found by halving. */
function pixelsPerSecond(steps: readonly RibbonStep[], fullSeconds: number, band: number): number {
  const timed = steps.filter(({ kind }) => kind !== 'waiting');
  const spare = Math.max(0, fullSeconds - ribbonSeconds(steps));
  const lengthAt = (scale: number): number =>
    timed.reduce((sum, { seconds }) => sum + Math.max(LEAST_WIDTH, seconds * scale), spare * scale);
  let [low, high] = [0, band / Math.max(1, fullSeconds)];
  for (let turn = 0; turn < 40; turn++) {
    const middle = (low + high) / 2;
    if (lengthAt(middle) > band) high = middle;
    else low = middle;
  }
  return low;
}
