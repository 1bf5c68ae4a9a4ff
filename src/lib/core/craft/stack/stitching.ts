import { type Path, pathLength, type Point, regionExtents } from '$lib/core/base/geometry';
import {
  findLine,
  findPiece,
  findStop,
  type HandStep,
  type Item,
  type Role,
  type StopStep
} from '$lib/core/documents/item';
import { sketchOf } from '$lib/core/stitching/stitches';
import type { OwnRun } from '$lib/core/craft/operations';
import type { Layer, Seam, StackState, ThreadSide } from './state';
import { clothAlong, liesAt, shareOn } from './under';

/** Share of a path’s points that must lie on a layer before the path is said to stitch it. */
const LEAST_SHARE = 0.05;
/** Share of a narrow piece’s width that a path must go across to catch it. */
const LEAST_ACROSS = 0.3;
const MIDDLE: Point = [0, 0];

/** A seam, or why the needle cannot run. */
export interface StopStitched {
  seam: Seam | null;
  problem: string | null;
}

/** A stop joins every layer that lies under its path at that moment, top and bottom. */
export function stitchStop(state: StackState, step: StopStep, item: Item): StopStitched {
  const stop = findStop(item, step.stopId);
  // A stop the file does not have stitches nothing.
  if (!stop || stop.number === null) return { seam: null, problem: null };
  return stitch(state, item, step.id, {
    stopId: stop.id,
    role: stop.role,
    threadId: stop.threadId,
    lineIds: stop.lineIds,
    through: stop.through,
    sketch: stop.lineIds.length === 0 ? sketchOf(stop) : []
  });
}

/** A file run in between, or a box of the machine’s own, stitches as a stop would. */
export function stitchRun(
  state: StackState,
  step: HandStep,
  { role, threadId = '', lineId }: OwnRun,
  item: Item
): StopStitched {
  return stitch(state, item, step.id, {
    stopId: null,
    role,
    threadId,
    lineIds: lineId === undefined ? [] : [lineId],
    through: false,
    sketch: []
  });
}

interface Run {
  stopId: string | null;
  role: Role;
  threadId: string;
  lineIds: string[];
  through: boolean;
  /** Where it stitches, for a stop that has stitches and no lines. */
  sketch: Path[];
}

function stitch(state: StackState, item: Item, stepId: string, { sketch, ...run }: Run): StopStitched {
  if (state.layers.length === 0) return { seam: null, problem: 'Nothing is hooped when this stop runs.' };
  const lines = run.lineIds.flatMap((id) => findLine(item, id) ?? []);
  const paths = [...lines.map(({ path }) => path), ...sketch];
  const layers = state.layers.filter((layer) =>
    paths.length === 0
      ? liesAt(layer, MIDDLE)
      : paths.some((path) => shareOn(layer, path) >= LEAST_SHARE || crosses(layer, path, item))
  );
  const seam: Seam = {
    ...run,
    stepId,
    bobbin: state.bobbin,
    paths,
    opening: Math.max(0, ...lines.flatMap(({ gaps }) => gaps.map(({ from, to }) => to - from))),
    layers: layers.map(({ pieceId }) => pieceId),
    faces: layers.map(({ face }) => face),
    upper: sideOf(outermost([...layers].reverse(), paths), 'up'),
    under: sideOf(outermost(layers, paths), 'down'),
    assumed: paths.length === 0
  };
  return {
    seam,
    problem: layers.length === 0 ? 'There is nothing under the needle when this stop runs.' : whyNot(state)
  };
}

/** A narrow piece cut to size, as the end of a ribbon, is caught where the path goes right across it. */
function crosses(layer: Layer, path: Path, item: Item): boolean {
  if (findPiece(item, layer.pieceId)?.shape !== 'pre-cut') return false;
  const box = regionExtents([layer.outline]);
  return (
    box !== undefined &&
    shareOn(layer, path) * pathLength(path) >= LEAST_ACROSS * Math.min(box.width, box.height)
  );
}

function whyNot({ hoop }: StackState): string | null {
  if (hoop.where !== 'on' && hoop.where !== 'forward')
    return 'The hoop is not on the machine when this stop runs.';
  return hoop.turned ? 'The hoop is still turned over when this stop runs.' : null;
}

/** Of layers from outside in, the one that is outermost along most of the paths. */
function outermost(layers: Layer[], paths: Path[]): Layer | undefined {
  if (paths.length === 0 || layers.length < 2) return layers[0];
  const counts = layers.map(() => 0);
  for (const path of paths) {
    const along = layers.map((layer) => clothAlong(layer, path));
    along[0]?.forEach((_, point) => {
      const first = along.findIndex((hits) => hits[point]);
      if (first >= 0) counts[first] = (counts[first] ?? 0) + 1;
    });
  }
  return layers[counts.indexOf(Math.max(...counts))];
}

function sideOf(layer: Layer | undefined, outwards: Layer['face']): ThreadSide | null {
  return layer ? { pieceId: layer.pieceId, side: layer.face === outwards ? 'right' : 'wrong' } : null;
}
