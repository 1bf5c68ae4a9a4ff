import { COMMAND } from '$lib/core/stitching/stitches';
import type { HoopScene } from './scene';

/** Thickness of a thread, mm. */
const THREAD_MM = 0.4;
/** Points nearer than this share of a dot to the one before change nothing that is seen. */
const LEAST_DOT = 0.4;

/**
 * Draws the stitches of one stop. What falls on the same dot of the screen is drawn once, so that the number of lines
 * follows the size of the drawing and not the number of stitches.
 *
 * @param scale dots a millimetre
 */
export function drawStitches(
  context: Pick<
    CanvasRenderingContext2D,
    'beginPath' | 'moveTo' | 'lineTo' | 'stroke' | 'strokeStyle' | 'lineWidth' | 'lineJoin' | 'globalAlpha'
  >,
  { stitches: { x, y, command }, colour, now }: HoopScene['stitches'][number],
  scale: number
): number {
  const least = (LEAST_DOT / scale) ** 2;
  let [lastX, lastY] = [NaN, NaN];
  let lines = 0;
  context.beginPath();
  for (let at = 0; at < x.length; at++) {
    const [px, py] = [x[at] ?? 0, y[at] ?? 0];
    if (at === 0 || command[at] !== COMMAND.stitch) context.moveTo(px, py);
    else {
      if ((px - lastX) ** 2 + (py - lastY) ** 2 < least) continue;
      context.lineTo(px, py);
      lines++;
    }
    [lastX, lastY] = [px, py];
  }
  context.lineJoin = 'round';
  context.globalAlpha = now ? 1 : 0.75;
  context.lineWidth = Math.max(THREAD_MM, 0.8 / scale);
  context.strokeStyle = colour;
  context.stroke();
  return lines;
}
