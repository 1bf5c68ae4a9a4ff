import { does } from '$lib/core/craft/operations';
import { extents, mirrored, type Path, type Region } from '$lib/core/base/geometry';
import { findLine, findStop, type Item } from '$lib/core/documents/item';
import type { Plan, PlanStep } from '$lib/core/documents/plan';
import type { Layer, StackState, StackStep } from '$lib/core/craft/stack';
import { geometryOf, type Stitches } from '$lib/core/stitching/stitches';

/** A cloth as the hoop drawing shows it, mm in hoop coordinates as the maker sees them. */
export interface SceneCloth {
  name: string;
  colour: string;
  /** Its outline, holes and all. */
  rings: Region;
  x: number;
  y: number;
  width: number;
  height: number;
  now: boolean;
}

/** What the hoop seen from above shows at a step. */
export interface HoopScene {
  ring: { width: number; height: number };
  field: { width: number; height: number };
  cloths: SceneCloth[];
  /** Lines stitched before, and those this step stitches or cuts. */
  stitched: Path[];
  active: { path: Path; kind: 'stitch' | 'cut' }[];
  /** Stitches that are known one by one, in the colour of their thread; `now` for those of this step. */
  stitches: { stitches: Stitches; colour: string; now: boolean }[];
  /** Spare edge round the line that a laid piece must cover, mm. */
  over: { mm: number; line: Path } | null;
  tape: { x: number; y: number; angle: number }[];
  turned: boolean;
  hooped: boolean;
  /** Colour of the hooped material that faces the maker, null while nothing is hooped. */
  ground: string | null;
}

/**
 * The hoop at a step of a plan, as it is held: when it is turned over, what lies below is in view and left
 * and right are changed over.
 *
 * @param trace the simulated hoop after every step of the item
 */
export function hoopScene(item: Item, plan: Plan, step: PlanStep, trace: StackStep[]): HoopScene {
  const { turned } = step.hoop;
  const seen = (path: Path): Path => (turned ? mirrored(path) : path);
  const at = plan.steps.findIndex(({ id }) => id === step.id);
  const own = plan.steps.slice(0, at + 1).findLast(({ itemStepId }) => itemStepId !== null)?.itemStepId;
  const now = trace.find(({ stepId }) => stepId === own);
  const current = own === step.itemStepId;
  const state = now?.state;
  const unhooped = step.hoop.where === 'unhooped';
  const scene: HoopScene = {
    ring: plan.hoop.ring,
    field: plan.hoop.field,
    cloths: state ? clothsOf(state, turned, unhooped, current ? now.changed : []) : [],
    stitched: [],
    active: [],
    stitches: [],
    over: null,
    tape: [],
    turned,
    ground: state ? groundOf(state, turned) : null,
    hooped: step.hoop.where !== 'empty' && !unhooped
  };
  for (const seam of state?.seams ?? []) {
    const stitching = current && seam.stepId === own;
    for (const path of seam.paths) {
      if (stitching) scene.active.push({ path: seen(path), kind: 'stitch' });
      else scene.stitched.push(seen(path));
    }
    const stop = seam.stopId === null ? undefined : findStop(item, seam.stopId);
    const geometry = stop && geometryOf(stop, item);
    const colour = item.threads.find(({ id }) => id === seam.threadId)?.colour;
    if (geometry && colour !== undefined)
      scene.stitches.push({ stitches: geometry.stitches, colour, now: stitching });
  }
  addStep(scene, item, step, seen);
  return scene;
}

/** Layers in view, the nearest last. */
function clothsOf(state: StackState, turned: boolean, unhooped: boolean, changed: string[]): SceneCloth[] {
  const facing = state.layers.filter(
    ({ where, outline }) => outline.length > 0 && (unhooped || where === (turned ? 'below' : 'above'))
  );
  return (turned ? [...facing].reverse() : facing).map((layer) => clothOf(layer, turned, changed));
}

function clothOf(layer: Layer, turned: boolean, changed: string[]): SceneCloth {
  const rings = turned
    ? layer.outline.map((points) => mirrored({ closed: true, points }).points)
    : layer.outline;
  const { minX, minY, width, height } = extents({ closed: true, points: rings.flat() });
  return {
    name: layer.name,
    colour: layer.material.colour,
    rings,
    x: minX,
    y: minY,
    width,
    height,
    now: changed.includes(layer.pieceId)
  };
}

function groundOf({ layers }: StackState, turned: boolean): string | null {
  const hooped = layers.filter(({ where }) => where === 'hooped');
  return (turned ? hooped[0] : hooped.at(-1))?.material.colour ?? null;
}

/** What the step itself draws: the line it cuts, the edge a piece must reach over, and where tape goes. */
function addStep(scene: HoopScene, item: Item, { op, stop }: PlanStep, seen: (path: Path) => Path): void {
  if (stop && scene.active.length === 0) {
    for (const id of findStop(item, stop.stopId)?.lineIds ?? []) {
      const path = findLine(item, id)?.path;
      if (path) scene.active.push({ path: seen(path), kind: 'stitch' });
    }
  }
  if (!op) return;
  if ('lineId' in op && op.lineId !== undefined && does(op, 'stitch') === null) {
    const path = findLine(item, op.lineId)?.path;
    if (path) scene.active.push({ path: seen(path), kind: 'cut' });
  }
  if (op.do !== 'lay') return;
  const line = findLine(item, op.covers ?? op.edge?.lineId ?? '')?.path;
  if (line && op.over > 0) scene.over = { mm: op.over, line: seen(line) };
  else if (line) scene.active.push({ path: seen(line), kind: 'stitch' });
  const laid = scene.cloths.find(({ now }) => now);
  if (op.hold.by !== 'tape' || !laid) return;
  const [x, y] = [laid.x + laid.width / 2, laid.y + laid.height / 2];
  for (const [sideX, sideY] of [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1]
  ] as const) {
    scene.tape.push({
      x: x + (sideX * laid.width) / 2,
      y: y + (sideY * laid.height) / 2,
      angle: sideX * sideY * 45
    });
  }
}
