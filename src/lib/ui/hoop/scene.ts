import { extents, mirrored, type Path } from '$lib/core/geometry';
import { findLine, findPiece, findStop, type Item, type OperationOf } from '$lib/core/item';
import type { Plan, PlanStep } from '$lib/core/plan';

/** A cloth as the hoop drawing shows it, mm in hoop coordinates as the maker sees them. */
export interface SceneCloth {
  name: string;
  colour: string;
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
 */
export function hoopScene(item: Item, plan: Plan, step: PlanStep): HoopScene {
  const { turned } = step.hoop;
  const seen = (path: Path): Path => (turned ? mirrored(path) : path);
  const scene: HoopScene = {
    ring: plan.hoop.ring,
    field: plan.hoop.field,
    cloths: [],
    stitched: [],
    active: [],
    over: null,
    tape: [],
    turned,
    ground: null,
    hooped: step.hoop.where !== 'empty' && step.hoop.where !== 'unhooped'
  };
  const before = plan.steps.slice(0, plan.steps.findIndex(({ id }) => id === step.id) + 1);
  for (const earlier of before) {
    const now = earlier.id === step.id;
    const stop = earlier.stop && findStop(item, earlier.stop.stopId);
    for (const id of stop?.lineIds ?? []) {
      const path = findLine(item, id)?.path;
      if (!path) continue;
      if (now) scene.active.push({ path: seen(path), kind: 'stitch' });
      else scene.stitched.push(seen(path));
    }
    if (earlier.op?.do === 'hoop') {
      const { pieceIds } = earlier.op;
      // Hooped material is named from below up.
      const facing = turned ? pieceIds[0] : pieceIds.at(-1);
      scene.ground = (facing !== undefined && findPiece(item, facing)?.material.colour) || null;
    }
    if (earlier.op?.do === 'lay' && (earlier.op.side === 'below') === turned)
      addLaid(scene, item, plan, earlier.op, now);
    if (now && earlier.op && 'lineId' in earlier.op && earlier.op.lineId !== undefined) {
      const path = findLine(item, earlier.op.lineId)?.path;
      if (path) scene.active.push({ path: seen(path), kind: 'cut' });
    }
  }
  return scene;
}

function addLaid(scene: HoopScene, item: Item, plan: Plan, op: OperationOf<'lay'>, now: boolean): void {
  const piece = findPiece(item, op.pieceId);
  const cut = plan.cuts.find(({ pieceId }) => pieceId === op.pieceId)?.cut;
  if (!piece || !cut) return;
  const line = op.covers === undefined ? undefined : findLine(item, op.covers)?.path;
  const path = line && (scene.turned ? mirrored(line) : line);
  const box = path && extents(path);
  const [x, y] = box ? [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2] : [0, 0];
  const { width, height } = cut;
  scene.cloths.push({
    name: piece.name,
    colour: piece.material.colour,
    x: x - width / 2,
    y: y - height / 2,
    width,
    height,
    now
  });
  if (!now) return;
  if (path && op.over > 0) scene.over = { mm: op.over, line: path };
  if (op.hold.by === 'tape') {
    for (const [sideX, sideY] of [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1]
    ] as const) {
      scene.tape.push({ x: x + (sideX * width) / 2, y: y + (sideY * height) / 2, angle: sideX * sideY * 45 });
    }
  }
}
