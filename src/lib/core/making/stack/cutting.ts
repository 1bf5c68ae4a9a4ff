import { difference, intersection, offsetPath, type Region, regionOf } from '$lib/core/base/geometry';
import { findLine, type Item, type MaterialKind } from '$lib/core/documents/item';
import { nameOf } from './laying';
import { type Change, type Layer, refuse, type StackState, touch } from './state';

const TORN: readonly MaterialKind[] = ['tear-away'];
const RINSED: readonly MaterialKind[] = ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'];

/** Cuts layers back to a line moved outwards: keeps what is inside, or takes the inside out as a hole. */
export function cut(
  state: StackState,
  pieceIds: readonly string[],
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
    region.length === 0
      ? region
      : takes === 'outside'
        ? intersection(region, inside)
        : difference(region, inside);
  return touch(state, pieceIds, (layer) => ({
    ...layer,
    outline: trimmed(layer.outline),
    allowance: trimmed(layer.allowance)
  }));
}

/** Tears off what tears. */
export function tear(state: StackState): Change {
  return takeOff(state, ({ material }) => TORN.includes(material.kind));
}

/** Rinses out what dissolves. */
export function rinse(state: StackState): Change {
  return takeOff(state, ({ material }) => RINSED.includes(material.kind));
}

/** Takes layers out for good. */
export function takeOff(state: StackState, goes: (layer: Layer) => boolean): Change {
  return {
    layers: state.layers.filter((layer) => !goes(layer)),
    changed: state.layers.filter(goes).map(({ pieceId }) => pieceId),
    problem: null
  };
}
