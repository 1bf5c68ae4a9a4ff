import { difference, intersection, offsetPath, type Region, regionOf } from '$lib/core/base/geometry';
import { findLine, type Item, type MaterialKind } from '$lib/core/documents/item';
import { nameOf } from './laying';
import { type Change, type Layer, refuse, type StackState, touch } from './state';
import { shareOn } from './under';

const TORN: readonly MaterialKind[] = ['tear-away'];
const RINSED: readonly MaterialKind[] = ['wash-away-mesh', 'wash-away-film', 'sticky-wash-away'];

/** Where a cut runs, and what goes. */
interface Cutting {
  lineId: string;
  alsoLineIds?: string[] | undefined;
  outwards: number;
  takes: 'outside' | 'inside';
}

/** Cuts layers back to a line moved outwards: keeps what is inside, or takes the inside out as a hole. */
export function cut(
  state: StackState,
  pieceIds: readonly string[],
  item: Item,
  { lineId, alsoLineIds = [], outwards, takes }: Cutting
): Change {
  const edges = [lineId, ...alsoLineIds].map((id) => {
    const path = findLine(item, id)?.path;
    return path?.closed ? offsetPath(path, outwards) : undefined;
  });
  const regions = edges.flatMap((edge) => (edge ? [regionOf(edge)] : []));
  if (regions.length < edges.length) return refuse(state, 'There is no closed line to cut along.');
  const gone = pieceIds.find((id) => !state.layers.some(({ pieceId }) => pieceId === id));
  if (gone !== undefined)
    return refuse(state, `${nameOf(item, gone)} is not in the hoop, so it cannot be cut.`);
  const inside = regions.reduce((all, region) => [...difference(all, region), ...region]);
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

/** Share of a line that may be hidden and still be cut along. */
export const MOST_HIDDEN = 0.3;

/**
 * Whether another layer lies between the scissors and a layer that is cut from one side only.
 *
 * @returns the refusal, or undefined where the layer can be reached
 */
export function outOfReach(
  state: StackState,
  { pieceIds = [], lineId, from }: { pieceIds?: string[]; lineId: string; from?: 'front' | 'back' },
  item: Item
): Change | undefined {
  const path = findLine(item, lineId)?.path;
  if (from === undefined || !path) return undefined;
  if (from === 'back' && state.hoop.where === 'on')
    return refuse(state, 'The back cannot be reached while the hoop is on the machine.');
  for (const pieceId of pieceIds) {
    const at = state.layers.findIndex((layer) => layer.pieceId === pieceId);
    if (at < 0) continue;
    const between = from === 'front' ? state.layers.slice(at + 1) : state.layers.slice(0, at);
    const hides = between.find(
      (layer) => !pieceIds.includes(layer.pieceId) && shareOn(layer, path) > MOST_HIDDEN
    );
    if (hides)
      return refuse(
        state,
        `${nameOf(item, pieceId)} cannot be cut from the ${from}: ${hides.name} lies over it there.`
      );
  }
  return undefined;
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
