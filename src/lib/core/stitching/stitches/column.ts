import type { Path } from '$lib/core/base/geometry';
import { evenly, stations } from './along';
import { type Stitches, StitchWriter } from './stitches';

export interface ZigzagOptions {
  /** Width of the column, mm. */
  width: number;
  /** Distance between two needle holes on the outer side, mm. */
  spacing?: number;
}
export interface SatinOptions extends ZigzagOptions {
  /** What carries the satin: a run along its middle, an open zigzag, or nothing. */
  underlay?: 'none' | 'run' | 'zigzag';
}

/** Distance between two needle holes of a satin, of a zigzag, and of its underlay, mm. */
export const SATIN_SPACING_MM = 0.4;
export const ZIGZAG_SPACING_MM = 1.5;
const UNDERLAY_MM = { run: 2.5, zigzag: 2 } as const;
/** Share of the width that a zigzag underlay takes, so that the satin hides it. */
const UNDERLAY_SHARE = 0.6;

/**
 * Zigzag along a path, from side to side.
 *
 * @example
 * measure(zigzagStitches(segment(0, 0, 15, 0), { width: 3 })).count // 10
 */
export function zigzagStitches(path: Path, { width, spacing = ZIGZAG_SPACING_MM }: ZigzagOptions): Stitches {
  const writer = new StitchWriter();
  across(writer, path, width, spacing);
  return writer.done();
}

/**
 * A satin column along a path. Its stitches lie so near that on the outer side of a bend or corner no gap is wider than
 * the spacing: there they fan out.
 *
 * @throws RangeError when width or spacing is not above 0
 *
 * @example
 * measure(satinStitches(segment(0, 0, 100, 0), { width: 4, underlay: 'none' })).count // 250
 */
export function satinStitches(
  path: Path,
  { width, spacing = SATIN_SPACING_MM, underlay = 'run' }: SatinOptions
): Stitches {
  const writer = new StitchWriter();
  if (underlay === 'run') {
    for (const [x, y] of evenly(path, UNDERLAY_MM.run)) writer.stitch(x, y);
  } else if (underlay === 'zigzag') across(writer, path, width * UNDERLAY_SHARE, UNDERLAY_MM.zigzag);
  // An open column is carried away from where the satin begins, so it comes back along itself.
  if (!path.closed && underlay !== 'none') across(writer, reversed(path), width, spacing);
  else across(writer, path, width, spacing);
  return writer.done();
}

/** Blanket stitch: along the edge, at every step a bite to the side and back. */
export function blanketStitches(
  path: Path,
  {
    bite = 3,
    spacing = 2.5,
    side = 'left'
  }: { bite?: number; spacing?: number; side?: 'left' | 'right' } = {}
): Stitches {
  if (!(bite > 0 && spacing > 0))
    throw new RangeError('A blanket stitch needs a bite and a spacing above 0 mm.');
  const writer = new StitchWriter();
  const towards = side === 'left' ? bite : -bite;
  for (const { x, y, nx, ny } of stations(path, 0, spacing)) {
    writer.stitch(x, y);
    writer.stitch(x + nx * towards, y + ny * towards);
    writer.stitch(x, y);
  }
  return writer.done();
}

function across(writer: StitchWriter, path: Path, width: number, spacing: number): void {
  if (!(width > 0 && spacing > 0)) throw new RangeError('A column needs a width and a spacing above 0 mm.');
  const half = width / 2;
  stations(path, half, spacing).forEach(({ x, y, nx, ny }, at) => {
    const side = at % 2 === 0 ? half : -half;
    writer.stitch(x + nx * side, y + ny * side);
  });
}

function reversed(path: Path): Path {
  return { ...path, points: [...path.points].reverse() };
}
