import type { Path } from '$lib/core/base/geometry';

/** What one copy takes up in the hoop. */
export interface CopyOutline {
  /** Outermost stitching, about its own middle. */
  path: Path;
  width: number;
  height: number;
  /** The middle of the stitching as the item’s own lines have it. */
  middle: { x: number; y: number };
  /** How far pieces that are laid reach beyond the stitching, mm. */
  reach: number;
}

/** The part of a field that every needle of the job reaches, mm from the middle of the field. */
export interface Area {
  minX: number;
  minY: number;
  maxX: number;
  maxY: number;
}
