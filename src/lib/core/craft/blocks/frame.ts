import { inset, type Path } from '$lib/core/base/geometry';

/** The outline of the whole item, which every block measures from. */
export interface Frame {
  /** The outermost line that is stitched. */
  outlineId: string;
  outline: Path;
  /** Where lines that hold the layers run: the outline, or the middle of a satin edge. */
  seamId: string;
  seam: Path;
  width: number;
  height: number;
  edge: 'none' | 'satin' | 'cut' | 'turned';
  /** Width of the satin, or how far outside the seam it is cut, mm. */
  edgeMm: number;
}

/** The frame of an item with a satin edge: what holds the layers runs under its middle. */
export function satinFrame(frame: Frame, width: number): Frame {
  return { ...frame, edge: 'satin', edgeMm: width, seamId: 'seam', seam: inset(frame.outline, width / 2) };
}
