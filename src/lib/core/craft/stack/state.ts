import type { Path, Point, Region } from '$lib/core/base/geometry';
import type { Face, Material, OperationOf, Role } from '$lib/core/documents/item';
import type { HoopState } from '$lib/core/documents/plan';

/** What keeps a layer from shifting. */
export type Holding =
  'hooped' | 'stitched' | 'tape' | 'spray' | 'glue' | 'pins' | 'fused' | 'sticky' | 'hand';

/** One piece of material in the hoop, as seen from above in stitching position. */
export interface Layer {
  pieceId: string;
  name: string;
  material: Material;
  plies: number;
  /** Folded in half: both its faces are the right side. */
  folded: boolean;
  /** The cloth that lies open. */
  outline: Region;
  /** What a flip left behind at its fold. */
  allowance: Region;
  face: Face;
  where: 'hooped' | 'above' | 'below';
  holds: Holding[];
  /** Strips of tape on it. */
  strips: number;
  /** The ring on which its pins stand, while it is pinned. */
  pins: Path | null;
  /** How far a zip stands open. */
  zip: OperationOf<'zip'>['to'] | null;
  folds: Fold[];
  /** Swung out when the work was turned: it hangs from the seam beyond the outline. */
  hangs?: true;
}

/** A straight fold a layer was flipped at. */
export interface Fold {
  lineId: string;
  from: Point;
  to: Point;
}

/** Where the thread of a seam lies on the outermost layer it went through. */
export interface ThreadSide {
  pieceId: string;
  side: 'right' | 'wrong';
}

/** Stitching, and every layer it joined. */
export interface Seam {
  stepId: string;
  /** The stop, or null for a file run in between. */
  stopId: string | null;
  role: Role;
  lineIds: string[];
  threadId: string;
  /** Thread of the bobbin; null while nobody has said which, so the shop’s usual one. */
  bobbin: string | null;
  paths: Path[];
  /** Length of the largest opening left in it, mm. */
  opening: number;
  /** Layers from the bottom up that lay under the path. */
  layers: string[];
  /** Face of each of them when it was stitched. */
  faces: Face[];
  /** Where the upper and the bobbin thread ended up. */
  upper: ThreadSide | null;
  under: ThreadSide | null;
  /** Goes through everything on purpose. */
  through: boolean;
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
  /** Thread on the bobbin as far as a step has said. */
  bobbin: string | null;
  /** The needle as far as a step has said. */
  needle: string | null;
  /** How often the work has been turned right side out. */
  turns: number;
  /** Hardware set so far, one by one. */
  hardware: OperationOf<'hardware'>['kind'][];
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

/** What an operation makes of the layers; a problem leaves them as they were. */
export interface Change {
  layers: Layer[];
  changed: string[];
  problem: string | null;
  aside?: Layer[];
  turned?: boolean;
  /** What was put on the machine. */
  bobbin?: string | null;
  needle?: string;
  /** What is set on the item by now. */
  hardware?: StackState['hardware'];
}

export const EMPTY_STACK: StackState = {
  layers: [],
  seams: [],
  hoop: { where: 'empty', turned: false },
  aside: [],
  bobbin: null,
  needle: null,
  turns: 0,
  hardware: []
};

/** Layers changed where their piece is named. */
export function touch(
  state: StackState,
  pieceIds: readonly string[],
  change: (layer: Layer) => Layer
): Change {
  return {
    layers: state.layers.map((layer) => (pieceIds.includes(layer.pieceId) ? change(layer) : layer)),
    changed: [...pieceIds],
    problem: null
  };
}

/** A step that cannot be done: the layers stay as they were. */
export function refuse(state: StackState, problem: string): Change {
  return { layers: state.layers, changed: [], problem };
}
