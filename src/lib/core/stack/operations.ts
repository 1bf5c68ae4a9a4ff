import {
  difference,
  extents,
  intersection,
  mirroredAcross,
  offsetPath,
  rectangleRegion,
  regionArea,
  regionOf,
  splitAlong,
  type Path,
  type Point,
  type Region
} from '$lib/core/geometry';
import {
  findLine,
  findPiece,
  type Item,
  type MaterialKind,
  type Operation,
  type OperationOf
} from '$lib/core/item';
import type { Holding, Layer, StackState } from './state';

/** Cut sizes of the pieces, mm, by piece. */
export type CutSizes = ReadonlyMap<string, { width: number; height: number }>;

/** The sizes of a cut list, by piece. */
export function cutSizes(
  cuts: readonly { pieceId: string; cut: { width: number; height: number } }[]
): CutSizes {
  return new Map(cuts.map(({ pieceId, cut: size }) => [pieceId, size]));
}

/** What an operation makes of the layers; a problem leaves them as they were. */
export interface Change {
  layers: Layer[];
  changed: string[];
  problem: string | null;
  aside?: Layer[];
}

/** Distance within which a seam counts as lying on a fold, mm. */
const ON_FOLD_MM = 1;

const TORN: readonly MaterialKind[] = ['tear-away'];
const RINSED: readonly MaterialKind[] = ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'];

/**
 * Applies a hand step to the layers of the hoop. Steps that move no cloth (threading, looking, pressing) give
 * the same layers.
 */
export function changeLayers(state: StackState, op: Operation, item: Item, cuts: CutSizes): Change {
  switch (op.do) {
    case 'hoop':
      return hoop(state, op, item, cuts);
    case 'unhoop':
      return touch(
        state,
        state.layers.map(({ pieceId }) => pieceId),
        (layer) => ({
          ...layer,
          holds: layer.holds.filter((hold) => hold !== 'hooped')
        })
      );
    case 'lay':
      return lay(state, op.pieceId, op.side, op, item, cuts);
    case 'topping-on':
      return lay(state, op.pieceId, 'above', { face: 'up' }, item, cuts);
    case 'patch-hole':
      return lay(state, op.pieceId, 'above', { face: 'up', covers: op.lineId }, item, cuts);
    case 'tape':
      return hold(state, op.pieceId, 'tape');
    case 'spray':
      return hold(state, op.pieceId, 'spray');
    case 'glue':
      return hold(state, op.pieceId, 'glue');
    case 'pin':
      return hold(state, op.pieceId, 'pins');
    case 'heat-adhesive':
      return lay(
        state,
        op.pieceId,
        'below',
        { face: 'up', covers: findPiece(item, op.pieceId)?.covers ?? undefined, hold: { by: 'fuse' } },
        item,
        cuts
      );
    case 'fuse':
      return hold(state, op.pieceId, 'fused');
    case 'untape':
      return release(state, 'tape');
    case 'unpin':
      return release(state, 'pins');
    case 'flip':
      return flip(state, op, item);
    case 'trim':
      return cut(
        state,
        op.pieceIds,
        item,
        op.lineId,
        op.side === 'outside' ? op.margin : -op.margin,
        op.side
      );
    case 'cut-away-behind':
    case 'cut-through':
      return cut(state, op.pieceIds, item, op.lineId, 0, 'inside');
    case 'cut-out':
    case 'cut-roughly':
      return cut(
        state,
        state.layers.map(({ pieceId }) => pieceId),
        item,
        op.lineId,
        op.margin,
        'outside'
      );
    case 'tear-away':
      return takeOff(state, ({ material }) => TORN.includes(material.kind));
    case 'rinse':
      return takeOff(state, ({ material }) => RINSED.includes(material.kind));
    case 'topping-off':
      return state.layers.some(({ pieceId }) => pieceId === op.pieceId)
        ? takeOff(state, ({ pieceId }) => pieceId === op.pieceId)
        : refuse(state, `${nameOf(item, op.pieceId)} is not in the hoop, so it cannot be taken off.`);
    case 'turn-through':
      return refuse(state, 'The stack does not follow turning yet: it stays as it lay in the hoop.');
    default:
      return { layers: state.layers, changed: [], problem: null };
  }
}

function hoop(state: StackState, op: OperationOf<'hoop'>, item: Item, cuts: CutSizes): Change {
  const clamped = op.pieceIds.flatMap((id) => newLayer(id, item, cuts, [0, 0], 'hooped', 'up') ?? []);
  const missing = op.pieceIds.find((id) => !clamped.some(({ pieceId }) => pieceId === id));
  return {
    layers: clamped,
    changed: op.pieceIds,
    problem: missing === undefined ? null : `${nameOf(item, missing)} has no size, so it cannot be hooped.`,
    // What an earlier hooping made is carried over to be laid again.
    aside: [...state.aside, ...state.layers]
  };
}

function lay(
  state: StackState,
  pieceId: string,
  side: 'above' | 'below',
  how: Pick<OperationOf<'lay'>, 'face'> & Partial<Pick<OperationOf<'lay'>, 'covers' | 'hold'>>,
  item: Item,
  cuts: CutSizes
): Change {
  if (state.layers.some((layer) => layer.pieceId === pieceId)) {
    return refuse(state, `${nameOf(item, pieceId)} lies in the hoop already.`);
  }
  const layer = newLayer(pieceId, item, cuts, centreOf(item, how.covers), side, how.face);
  if (!layer) return refuse(state, `${nameOf(item, pieceId)} has no size, so it cannot be laid.`);
  const held = HOLDING[how.hold?.by ?? 'nothing'];
  if (held) layer.holds.push(held);
  const layers = side === 'above' ? [...state.layers, layer] : [layer, ...state.layers];
  return { layers, changed: [pieceId], problem: null };
}

const HOLDING: Record<OperationOf<'lay'>['hold']['by'], Holding | null> = {
  tape: 'tape',
  spray: 'spray',
  glue: 'glue',
  pins: 'pins',
  fuse: 'fused',
  nothing: null
};

function hold(state: StackState, pieceId: string, by: Holding): Change {
  if (!state.layers.some((layer) => layer.pieceId === pieceId)) {
    return refuse(state, 'The piece is not in the hoop yet.');
  }
  return touch(state, [pieceId], (layer) => ({ ...layer, holds: [...new Set([...layer.holds, by])] }));
}

function release(state: StackState, by: Holding): Change {
  const held = state.layers.filter(({ holds }) => holds.includes(by)).map(({ pieceId }) => pieceId);
  return touch(state, held, (layer) => ({ ...layer, holds: layer.holds.filter((own) => own !== by) }));
}

/**
 * Folds a layer over at a straight seam: the larger part beyond the fold is mirrored and shows its other face, the
 * allowance stays. Flipping twice brings it back.
 */
function flip(state: StackState, op: OperationOf<'flip'>, item: Item): Change {
  const layer = state.layers.find(({ pieceId }) => pieceId === op.pieceId);
  const name = nameOf(item, op.pieceId);
  if (!layer) return refuse(state, `${name} is not in the hoop, so it cannot be flipped.`);
  const path = findLine(item, op.lineId)?.path;
  const [from, to] = path?.points ?? [];
  if (!path || !from || !to || path.closed || path.points.length !== 2) {
    return refuse(state, `${name} can only be flipped at a straight seam.`);
  }
  const seams = state.seams.filter(({ layers }) => layers.includes(op.pieceId));
  if (seams.length === 0) return refuse(state, `No seam holds ${name}, so there is nothing to flip it at.`);
  const elsewhere = seams.some(({ paths }) => paths.some((seam) => !liesOn(seam, from, to)));
  if (elsewhere)
    return refuse(state, `A seam away from the fold holds ${name} down, so it cannot be flipped.`);
  // A part already folded here goes back whole; otherwise the fold parts it from its allowance.
  const folded = layer.folds.some(({ lineId }) => lineId === op.lineId);
  const [left, right] = folded ? [layer.outline, layer.allowance] : splitAlong(layer.outline, from, to);
  const [moving, staying] = folded || regionArea(left) >= regionArea(right) ? [left, right] : [right, left];
  return touch(state, [op.pieceId], (old) => ({
    ...old,
    outline: mirroredAcross(moving, from, to),
    allowance: staying,
    face: old.face === 'up' ? 'down' : 'up',
    folds: folded
      ? old.folds.filter(({ lineId }) => lineId !== op.lineId)
      : [...old.folds, { lineId: op.lineId, from, to }]
  }));
}

/** Cuts layers back to a line moved outwards: keeps what is inside, or takes the inside out as a hole. */
function cut(
  state: StackState,
  pieceIds: string[],
  item: Item,
  lineId: string,
  outwards: number,
  takes: 'outside' | 'inside'
): Change {
  const path = findLine(item, lineId)?.path;
  const edge = path?.closed ? offsetPath(path, outwards) : undefined;
  if (!edge) return refuse(state, 'There is no closed line to cut along.');
  const gone = pieceIds.find((id) => !state.layers.some(({ pieceId }) => pieceId === id));
  if (gone !== undefined)
    return refuse(state, `${nameOf(item, gone)} is not in the hoop, so it cannot be cut.`);
  const inside = regionOf(edge);
  const trimmed = (region: Region): Region =>
    takes === 'outside' ? intersection(region, inside) : difference(region, inside);
  return touch(state, pieceIds, (layer) => ({
    ...layer,
    outline: trimmed(layer.outline),
    allowance: trimmed(layer.allowance)
  }));
}

function takeOff(state: StackState, goes: (layer: Layer) => boolean): Change {
  return {
    layers: state.layers.filter((layer) => !goes(layer)),
    changed: state.layers.filter(goes).map(({ pieceId }) => pieceId),
    problem: null
  };
}

function newLayer(
  pieceId: string,
  item: Item,
  cuts: CutSizes,
  centre: Point,
  where: Layer['where'],
  face: Layer['face']
): Layer | undefined {
  const piece = findPiece(item, pieceId);
  const size = cuts.get(pieceId);
  if (!piece || !size) return undefined;
  return {
    pieceId,
    name: piece.name,
    material: piece.material,
    outline: rectangleRegion(centre, size.width, size.height),
    allowance: [],
    face,
    where,
    holds: where === 'hooped' ? ['hooped'] : [],
    folds: []
  };
}

function touch(state: StackState, pieceIds: string[], change: (layer: Layer) => Layer): Change {
  return {
    layers: state.layers.map((layer) => (pieceIds.includes(layer.pieceId) ? change(layer) : layer)),
    changed: pieceIds,
    problem: null
  };
}

function refuse(state: StackState, problem: string): Change {
  return { layers: state.layers, changed: [], problem };
}

function nameOf(item: Item, pieceId: string): string {
  return findPiece(item, pieceId)?.name ?? 'A piece the item does not have';
}

/** The middle of the line a piece is laid over, or of the field. */
function centreOf(item: Item, lineId: string | undefined): Point {
  const path = lineId === undefined ? undefined : findLine(item, lineId)?.path;
  if (!path) return [0, 0];
  const { minX, maxX, minY, maxY } = extents(path);
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}

/** Whether a path runs along the straight line through two points. */
function liesOn(path: Path, [x1, y1]: Point, [x2, y2]: Point): boolean {
  const length = Math.hypot(x2 - x1, y2 - y1);
  return path.points.every(
    ([x, y]) => Math.abs((x2 - x1) * (y1 - y) - (x1 - x) * (y2 - y1)) / length <= ON_FOLD_MM
  );
}
