import { pathData } from '$lib/core/base/geometry';
import { type Appearance, faceColour } from '$lib/core/making/appearance';
import type { Writer } from './pdfWriter';

/**
 * Draws the front of an item into a box on the page, as large as it fits.
 *
 * @param x from the left of the paper, mm
 * @param y from its top, mm
 * @param width of the box, mm
 * @param height of the box, mm
 */
export function drawPicture(
  writer: Writer,
  { box, sides }: Appearance,
  { x, y, width, height }: { x: number; y: number; width: number; height: number }
): void {
  const [front] = sides;
  if (!front || box.width <= 0 || box.height <= 0) return;
  const scale = Math.min(width / box.width, height / box.height);
  const left = x + (width - box.width * scale) / 2 - box.minX * scale;
  const top = y + (height - box.height * scale) / 2 - box.minY * scale;
  for (const { region, colour, rightSide } of front.patches)
    writer.shape(region.map((points) => pathData({ closed: true, points })).join(''), left, top, scale, {
      fill: faceColour(colour, rightSide),
      stroke: '#1b202a',
      width: 0.15 / scale
    });
  for (const { paths, colours, width: wide } of front.threads)
    for (const path of paths)
      writer.shape(pathData(path), left, top, scale, { stroke: colours[0] ?? '#1b202a', width: wide });
}
