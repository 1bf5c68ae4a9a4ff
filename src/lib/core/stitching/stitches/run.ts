import type { Path } from '$lib/core/base/geometry';
import { evenly } from './along';
import { type Stitches, StitchWriter } from './stitches';

/** Running stitch once, there and back (double), or every stitch three times (triple). */
export interface RunOptions {
  /** Greatest length of a stitch, mm. */
  length?: number;
  kind?: 'single' | 'double' | 'triple';
}

/**
 * Running stitch along a path; every corner has its own stitch.
 *
 * @throws RangeError when the stitch length is not above 0
 *
 * @example
 * measure(runStitches(segment(0, 0, 10, 0), { length: 2.5, kind: 'triple' })).count // 12
 */
export function runStitches(path: Path, { length = 2.5, kind = 'single' }: RunOptions = {}): Stitches {
  if (!(length > 0)) throw new RangeError('A stitch needs a length above 0 mm.');
  const points = evenly(path, length);
  const writer = new StitchWriter();
  points.forEach(([x, y], at) => {
    const before = points[at - 1];
    writer.stitch(x, y);
    if (kind === 'triple' && before) {
      writer.stitch(before[0], before[1]);
      writer.stitch(x, y);
    }
  });
  if (kind === 'double') for (const [x, y] of points.slice(0, -1).reverse()) writer.stitch(x, y);
  return writer.done();
}
