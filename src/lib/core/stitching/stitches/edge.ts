import { extents, offsetPath, type Path, pathLength } from '$lib/core/base/geometry';
import { roundTo } from '$lib/core/base/units';
import { satinStitches, zigzagStitches } from './column';
import { measure } from './stitches';

/** What an edge is made to. Lengths in mm. */
export interface EdgeWish {
  /** The raw edge: where the cloth is cut. */
  rawEdge: Path;
  satinWidth: number;
  /** How far the satin reaches inside the raw edge. */
  overlap: number;
  /** Free space between the satin and the design inside. */
  gap: number;
  /** How far a cut of this maker strays from its line. */
  accuracy: number;
}

/** An edge as lines and figures. Lines that nothing is left of are null. */
export interface ComposedEdge {
  cutLine: Path;
  placement: Path;
  /** A run that holds the piece, hidden under the satin. */
  tackDown: Path;
  /** Middle of the zigzag that goes before the satin, and its width. */
  zigzag: Path;
  zigzagWidth: number;
  satin: Path;
  /** Both edges of the satin. */
  inner: Path | null;
  outer: Path;
  /** Where the design must end. */
  design: Path | null;
  finished: { width: number; height: number };
  satinStitches: number;
  zigzagStitches: number;
  /** Length along the middle of the satin. */
  around: number;
  /** How far the satin reaches beyond the raw edge. */
  beyond: number;
  /** What is left inside and beyond when the cut strays; below 0 the raw edge may show. */
  spareInside: number;
  spareBeyond: number;
}

/** Share of the satin’s width that the zigzag before it takes. */
const ZIGZAG_SHARE = 0.7;

/**
 * Composes a satin edge round a cut shape by moving its outline in and out.
 *
 * @throws RangeError when the outline is open, the satin has no width, or nothing of the shape is left inside it
 *
 * @example
 * composeEdge({ rawEdge: circle40mm, satinWidth: 4, overlap: 2, gap: 1, accuracy: 1 }).finished // { width: 44, height: 44 }
 */
export function composeEdge({ rawEdge, satinWidth, overlap, gap, accuracy }: EdgeWish): ComposedEdge {
  if (!rawEdge.closed) throw new RangeError('An edge goes round a closed outline.');
  if (!(satinWidth > 0)) throw new RangeError('A satin edge needs a width above 0 mm.');
  if (!(overlap > 0 && overlap <= satinWidth))
    throw new RangeError('The satin must reach inside the raw edge, by no more than its width.');
  const beyond = satinWidth - overlap;
  const moved = (mm: number): Path => {
    const path = offsetPath(rawEdge, mm);
    if (!path) throw new RangeError('The shape is too small for an edge of this width.');
    return path;
  };
  const satin = moved(satinWidth / 2 - overlap);
  const outer = moved(beyond);
  const zigzagWidth = roundTo(satinWidth * ZIGZAG_SHARE, 2);
  const box = extents(outer);
  return {
    cutLine: rawEdge,
    placement: rawEdge,
    tackDown: moved(-overlap / 2),
    zigzag: satin,
    zigzagWidth,
    satin,
    inner: offsetPath(rawEdge, -overlap) ?? null,
    outer,
    design: offsetPath(rawEdge, -(overlap + gap)) ?? null,
    finished: { width: roundTo(box.width, 2), height: roundTo(box.height, 2) },
    satinStitches: measure(satinStitches(satin, { width: satinWidth, underlay: 'none' })).count,
    zigzagStitches: measure(zigzagStitches(satin, { width: zigzagWidth })).count,
    around: pathLength(satin),
    beyond: roundTo(beyond, 3),
    spareInside: roundTo(overlap - accuracy, 3),
    spareBeyond: roundTo(beyond - accuracy, 3)
  };
}
