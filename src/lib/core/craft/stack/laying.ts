import {
  extents,
  intersection,
  movedBy,
  offsetPath,
  type Point,
  type Region,
  regionArea
} from '$lib/core/base/geometry';
import { findLine, findPiece, type Hold, type Item } from '$lib/core/documents/item';
import { type CutSizes, freshLayer, middleOf, type Placing } from './layer';
import { type Change, type Holding, type Layer, refuse, type StackState, touch } from './state';

/** How far tape, pins and the like reach into the model. */
interface Laying extends Placing {
  side: 'above' | 'below';
  face: Layer['face'];
  hold?: Hold | undefined;
  ownLine?: true;
}

const HOLDING: Record<Hold['by'], Holding | null> = {
  tape: 'tape',
  spray: 'spray',
  glue: 'glue',
  pins: 'pins',
  fuse: 'fused',
  hand: 'hand',
  nothing: null
};

/** Clamps pieces in the ring; what an earlier hooping made goes aside, to be laid again. */
export function hoop(state: StackState, pieceIds: string[], item: Item, cuts: CutSizes): Change {
  const clamped = pieceIds.flatMap((id) => freshLayer(id, item, cuts, {}, 'hooped', 'up') ?? []);
  const missing = pieceIds.find((id) => !clamped.some(({ pieceId }) => pieceId === id));
  return {
    layers: clamped,
    changed: pieceIds,
    problem: missing === undefined ? null : `${nameOf(item, missing)} has no size, so it cannot be hooped.`,
    aside: [...state.aside, ...state.layers]
  };
}

/** Lays a piece on top or underneath; one that an earlier hooping made comes with all that is sewn to it. */
export function lay(state: StackState, pieceId: string, how: Laying, item: Item, cuts: CutSizes): Change {
  const name = nameOf(item, pieceId);
  if (state.layers.some((layer) => layer.pieceId === pieceId)) {
    return refuse(state, `${name} lies in the hoop already.`);
  }
  if (state.hoop.turned && how.side === 'above') {
    return refuse(state, `The hoop is turned over, so ${name} cannot be laid on the front.`);
  }
  const carried = carriedWith(state, pieceId);
  const own = findPiece(item, pieceId)?.covers ?? undefined;
  const placing = how.ownLine ? { ...how, covers: own } : how;
  const fresh = freshLayer(pieceId, item, cuts, placing, how.side, how.face);
  if (!fresh) return refuse(state, `${name} has no size, so it cannot be laid.`);
  const laid = carried.length > 0 ? broughtBack(carried, pieceId, how, item) : [fresh];
  const line = how.covers ?? own;
  const held = laid.map((layer) => (layer.pieceId === pieceId ? holdBy(layer, how.hold, line, item) : layer));
  // Sticky stabiliser in the ring holds what lies right on it.
  const sticky =
    how.side === 'above' &&
    state.layers.some(({ material, where }) => where === 'hooped' && material.kind === 'sticky-wash-away');
  const layers = sticky
    ? held.map((layer) =>
        state.layers.some((under) => parts(under, layer)) ? layer : withHold(layer, 'sticky')
      )
    : held;
  return {
    layers: how.side === 'above' ? [...state.layers, ...layers] : [...layers, ...state.layers],
    changed: layers.map((layer) => layer.pieceId),
    problem: null,
    aside: state.aside.filter((layer) => !carried.includes(layer))
  };
}

/** Whether a layer lies between the sticky stabiliser and most of one laid now. */
function parts(under: Layer, layer: Layer): boolean {
  if (under.material.kind === 'sticky-wash-away') return false;
  return regionArea(intersection(under.outline, layer.outline)) > regionArea(layer.outline) / 2;
}

/** Takes a piece out of the hoop while the rest stays; it can be laid again. */
export function lift(state: StackState, pieceId: string, item: Item): Change {
  const layer = state.layers.find((each) => each.pieceId === pieceId);
  if (!layer)
    return refuse(state, `${nameOf(item, pieceId)} is not in the hoop, so it cannot be lifted out.`);
  return {
    layers: state.layers.filter((each) => each !== layer),
    changed: [pieceId],
    problem: null,
    aside: [...state.aside, { ...layer, holds: layer.holds.filter((hold) => hold === 'stitched') }]
  };
}

/** Holds a piece that lies in the hoop. */
export function hold(state: StackState, pieceId: string, how: Hold, item: Item, lineId?: string): Change {
  if (!state.layers.some((layer) => layer.pieceId === pieceId)) {
    return refuse(state, `${nameOf(item, pieceId)} is not in the hoop yet.`);
  }
  const line = lineId ?? findPiece(item, pieceId)?.covers ?? undefined;
  return touch(state, [pieceId], (layer) => holdBy(layer, how, line, item));
}

/** Takes every strip of tape, or every pin, off: off all pieces, or those that are named. */
export function release(state: StackState, by: 'tape' | 'pins', only?: readonly string[]): Change {
  const held = state.layers
    .filter(({ pieceId, holds }) => holds.includes(by) && (only?.includes(pieceId) ?? true))
    .map(({ pieceId }) => pieceId);
  return touch(state, held, (layer) => ({
    ...layer,
    holds: layer.holds.filter((own) => own !== by),
    ...(by === 'tape' ? { strips: 0 } : { pins: null })
  }));
}

function holdBy(layer: Layer, how: Hold | undefined, lineId: string | undefined, item: Item): Layer {
  const by = HOLDING[how?.by ?? 'nothing'];
  if (!how || by === null) return layer;
  const held = withHold(layer, by);
  if (how.by === 'tape') return { ...held, strips: layer.strips + how.strips };
  if (how.by !== 'pins') return held;
  const path = lineId === undefined ? undefined : findLine(item, lineId)?.path;
  return { ...held, pins: (path?.closed ? offsetPath(path, how.away) : path) ?? null };
}

function withHold(layer: Layer, by: Holding): Layer {
  return { ...layer, holds: [...new Set([...layer.holds, by])] };
}

/** A piece put aside and all that is sewn to it, from the bottom up. */
function carriedWith(state: StackState, pieceId: string): Layer[] {
  if (!state.aside.some((layer) => layer.pieceId === pieceId)) return [];
  const joined = new Set([pieceId]);
  for (let before = 0; before !== joined.size;) {
    before = joined.size;
    for (const { layers } of state.seams) {
      if (layers.some((id) => joined.has(id))) layers.forEach((id) => joined.add(id));
    }
  }
  return state.aside.filter((layer) => joined.has(layer.pieceId));
}

function broughtBack(carried: Layer[], pieceId: string, how: Laying, item: Item): Layer[] {
  const main = carried.find((layer) => layer.pieceId === pieceId);
  const path = how.covers === undefined ? undefined : findLine(item, how.covers)?.path;
  const from = main ? middleOfRegion(main.outline) : undefined;
  const to = middleOf(path);
  const [dx, dy] = path && from ? [to[0] - from[0], to[1] - from[1]] : [0, 0];
  const turnedRound = main !== undefined && main.face !== how.face;
  const layers = carried.map((layer): Layer => ({
    ...layer,
    outline: movedBy(layer.outline, dx, dy),
    allowance: movedBy(layer.allowance, dx, dy),
    face: turnedRound ? (layer.face === 'up' ? 'down' : 'up') : layer.face,
    where: how.side,
    holds: layer.holds.filter((own) => own === 'fused')
  }));
  return turnedRound ? layers.reverse() : layers;
}

function middleOfRegion(region: Region): Point | undefined {
  const points = region.flat();
  if (points.length === 0) return undefined;
  const { minX, maxX, minY, maxY } = extents({ closed: true, points });
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}

/** A piece’s name as the sheet writes it. */
export function nameOf(item: Item, pieceId: string): string {
  return findPiece(item, pieceId)?.name ?? 'A piece the item does not have';
}
