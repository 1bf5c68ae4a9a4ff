import { found } from '$lib/core/craft/findings';
import { contains, extents, type Path, type Point, type Region, regionOf } from '$lib/core/base/geometry';
import { findLine, findPiece, FRAYS, type Role, variantOf } from '$lib/core/documents/item';
import { type Layer, liesAt, samplesOf } from '$lib/core/craft/stack';
import {
  besides,
  type Check,
  type CheckContext,
  distanceTo,
  EDGES,
  type Finding,
  handed,
  isStabiliser,
  LACE,
  leavingAfter,
  lineUnder,
  runsAlong,
  runsOf
} from './finding';

/** Share of an edge that may stray, as at a corner. */
const STRAY = 0.2;
/** The outside of a rim’s satin lies so close to the size of the item, mm. */
const RIM_MM = 2;
const HOLDS: readonly Role[] = ['tack-down', 'closing-seam', 'topstitch'];

/** Edges that the satin does not hide: cloth left outside it, cloth cut back too far, cloth left raw. */
export const rawEdge: Check = (context) => [...underSatin(context), ...leftRaw(context)];

function underSatin(context: CheckContext): Finding[] {
  return runsOf(context).flatMap(({ role, stepId, called, paths, width, before }): Finding[] => {
    if (!EDGES.includes(role) || width === 0) return [];
    const endsAt = (pieceId: string): boolean => {
      const line = lineUnder(context.item, pieceId);
      return line !== undefined && paths.some((path) => runsAlong(path, line));
    };
    const ending = before.layers.filter(({ pieceId, where }) => {
      if (where !== 'hooped' && endsAt(pieceId)) return true;
      // Whatever reaches past the rim of the item: a panel, a pocket, a strip.
      return (
        where === 'above' &&
        role === 'satin-edge' &&
        findPiece(context.item, pieceId)?.bound !== true &&
        isRimOf(context, paths, width)
      );
    });
    for (const layer of ending) {
      if (isStabiliser(layer)) continue;
      for (const path of paths) {
        // Below 0 a cut may stray past the satin on either side, wherever it lies.
        const inside = width / 2 - context.cutAccuracy;
        const problem =
          inside < 0 ? 'sticks-out' : judge(layer, besides(path, inside + 0.1), besides(path, inside));
        // A piece of its own shape need not reach all round, but nothing of it may stick out.
        if (problem === null || (problem === 'too-short' && !endsAt(layer.pieceId))) continue;
        return [
          problem === 'too-short'
            ? found(
                'raw-edge/too-short',
                stepId,
                { called, widthMm: width, piece: layer.name },
                layer.pieceId
              )
            : found(
                'raw-edge/sticks-out',
                stepId,
                { called, widthMm: width, piece: layer.name, stray: inside < 0 },
                layer.pieceId
              )
        ];
      }
    }
    return [];
  });
}

/** Whether a satin goes round the whole item. */
function isRimOf({ item, plan }: CheckContext, paths: readonly Path[], width: number): boolean {
  const size = variantOf(item, plan.variant.id)?.size;
  return paths.some((path) => {
    const box = extents(path);
    return (
      size !== undefined &&
      path.closed &&
      Math.abs(box.width + width - size.width) <= RIM_MM &&
      Math.abs(box.height + width - size.height) <= RIM_MM
    );
  });
}

/** Cloth must end within the satin: on one side of its band, and under it by more than a maker’s hand strays. */
function judge(
  layer: Layer,
  beyond: ReturnType<typeof besides>,
  within: ReturnType<typeof besides>
): 'sticks-out' | 'too-short' | null {
  const on = (points: readonly (readonly [number, number])[]): number =>
    points.filter(([x, y]) => liesAt(layer, [x, y])).length / Math.max(1, points.length);
  const [one, other] = [on(beyond.map(([point]) => point)), on(beyond.map(([, point]) => point))];
  if (one > STRAY && other > STRAY) return 'sticks-out';
  // A line this piece does not end at, as the slot in another piece.
  if (one <= STRAY && other <= STRAY) return null;
  const inner = on(within.map(([a, b]) => (one > other ? a : b)));
  return inner < 1 - STRAY ? 'too-short' : null;
}

/** Cut edges that fray, and pre-cut pieces, over which nothing is stitched before the work leaves the ring. */
function leftRaw(context: CheckContext): Finding[] {
  const runs = runsOf(context);
  const end = context.trace.at(-1)?.state.layers ?? [];
  const raw = (all: Point[], pieceId: string, at: number): Finding[] => {
    const folds = end.find((layer) => layer.pieceId === pieceId)?.folds ?? [];
    // Where a piece was flipped its edge lies folded under.
    const points = all.filter(
      (point) =>
        !folds.some(({ from, to }) => distanceTo({ closed: false, points: [from, to] }, point, 2) <= 2)
    );
    if (points.length === 0) return [];
    const hooping = context.item.steps[at]?.hoopingId;
    const over = runs
      .filter((run) => LACE.includes(run.role) || EDGES.includes(run.role) || run.width >= 2)
      .filter((run) => context.item.steps[run.at]?.hoopingId === hooping);
    const place = end.findIndex((layer) => layer.pieceId === pieceId);
    const open = points.filter(
      (point) =>
        !over.some((run) => run.paths.some((path) => hides(run.role, path, point))) &&
        !(place >= 0 && end.slice(place + 1).some((layer) => liesAt(layer, point)))
    );
    if (open.length < points.length * 0.4) return [];
    return [
      found(
        'raw-edge/left-raw',
        leavingAfter(context.item, at) ?? context.item.steps[at]?.id ?? null,
        { piece: findPiece(context.item, pieceId)?.name ?? 'a piece' },
        pieceId
      )
    ];
  };
  const cut = handed(context, 'trim', 'cut-away-behind', 'cut-through').flatMap(
    ({ op, at, before }): Finding[] => {
      const path = findLine(context.item, op.lineId)?.path;
      return op.pieceIds.flatMap((id) => {
        const layer = before.layers.find(({ pieceId }) => pieceId === id);
        if (!path || !layer || !FRAYS.includes(layer.material.kind)) return [];
        return raw(
          few(path).filter((point) => liesAt(layer, point)),
          id,
          at
        );
      });
    }
  );
  const preCut = handed(context, 'lay').flatMap(({ op, at }): Finding[] => {
    const piece = findPiece(context.item, op.pieceId);
    const path = lineUnder(context.item, op.pieceId);
    // Felt and the like may end raw once a tack-down holds them.
    const holds =
      piece && !FRAYS.includes(piece.material.kind) && runs.some((run) => isTacked(run, op.pieceId, at));
    // What was hemmed, or pressed under before it is stitched down, has no cut edge any more.
    const finished = piece?.bound === true || piece?.turnedUnder !== undefined || piece?.foldAt !== undefined;
    const ends = piece?.shape === 'pre-cut' && !piece.loose && !finished && !holds;
    return ends && path ? raw(few(path), op.pieceId, at) : [];
  });
  const chiselled = runs.flatMap(({ role, paths, at }): Finding[] => {
    const cloth =
      role === 'needle-cut'
        ? context.trace[at]?.state.layers.find(({ material }) => FRAYS.includes(material.kind))
        : undefined;
    return cloth ? raw(paths.flatMap(few), cloth.pieceId, at) : [];
  });
  const said = new Set<string>();
  return [...cut, ...preCut, ...chiselled].filter(({ text }) => !said.has(text) && said.add(text));
}

function isTacked(
  { role, at, after }: ReturnType<typeof runsOf>[number],
  pieceId: string,
  laid: number
): boolean {
  return at > laid && HOLDS.includes(role) && after.state.seams.at(-1)?.layers.includes(pieceId) === true;
}

/** Points of a path that are enough to judge an edge. */
function few(path: Path): Point[] {
  const all = samplesOf(path);
  const every = Math.max(1, Math.floor(all.length / 40));
  return all.filter((_, at) => at % every === 0);
}

/** Dense stitching hides an edge it runs along, lace whatever lies inside it. */
function hides(role: Role, path: Path, point: Point): boolean {
  if (distanceTo(path, point, 2) <= 2) return true;
  return LACE.includes(role) && path.closed && contains(insideOf(path), point);
}

const insides = new WeakMap<Path, Region>();
function insideOf(path: Path): Region {
  let inside = insides.get(path);
  if (!inside) insides.set(path, (inside = regionOf(path)));
  return inside;
}
