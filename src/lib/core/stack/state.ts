import type { Path, Point, Region } from '$lib/core/geometry';
import type { Face, Material } from '$lib/core/item';
import type { HoopState } from '$lib/core/sheet';

/** What keeps a layer from shifting. */
export type Holding = 'hooped' | 'stitched' | 'tape' | 'spray' | 'glue' | 'pins' | 'fused';

/** One piece of material in the hoop, as seen from above in stitching position. */
export interface Layer {
  pieceId: string;
  name: string;
  material: Material;
  /** The cloth that lies open. */
  outline: Region;
  /** What a flip left behind at its fold. */
  allowance: Region;
  face: Face;
  where: 'hooped' | 'above' | 'below';
  holds: Holding[];
  folds: Fold[];
}

/** A straight fold a layer was flipped at. */
export interface Fold {
  lineId: string;
  from: Point;
  to: Point;
}

/** Stitching, and every layer it joined. */
export interface Seam {
  stepId: string;
  stopId: string;
  lineIds: string[];
  threadId: string;
  paths: Path[];
  /** Layers from the bottom up that lay under the path. */
  layers: string[];
  /** True where the file’s path is not known, so that the middle of the work stands for it. */
  assumed: boolean;
}

/** The hoop after a step: layers from the bottom up. */
export interface StackState {
  layers: Layer[];
  seams: Seam[];
  hoop: HoopState;
  /** Layers taken out of a hooping before, not laid again yet. */
  aside: Layer[];
}

/** What a step did to the hoop. */
export interface StackStep {
  stepId: string;
  state: StackState;
  /** Pieces this step touched. */
  changed: string[];
  /** Why the step cannot be done as it stands, in one sentence; the simulation goes on without it. */
  problem: string | null;
}

export const EMPTY_STACK: StackState = {
  layers: [],
  seams: [],
  hoop: { where: 'empty', turned: false },
  aside: []
};

/** All the cloth of a layer. */
export function clothOf(layer: Layer): Region {
  return [...layer.outline, ...layer.allowance];
}
