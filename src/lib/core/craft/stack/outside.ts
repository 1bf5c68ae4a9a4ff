import { difference, intersection, type Region, regionArea, regionOf } from '$lib/core/base/geometry';
import { findLine, findPiece, type Item } from '$lib/core/documents/item';
import type { Layer, StackState } from './state';
import { gapsOf } from './turning';

/** A part of a face of the finished item: the layer that shows there, and whether it is its right side. */
export interface Shown {
  layer: Layer;
  rightSide: boolean;
  /** mm² that show. */
  area: number;
  /** What shows of it, as seen from above in stitching position. */
  region: Region;
}

/** What one sees of a finished item, each face region by region, the largest first. */
export interface Outside {
  front: Shown[];
  back: Shown[];
  /** Both faces of the pocket that a zip opens, or the linings one sees through a mouth. */
  lining: Shown[];
  /** Layers that show nowhere, from the front down. */
  hidden: Layer[];
}

/** A sliver smaller than this is no region, mm². */
const LEAST_AREA_MM2 = 80;
/** Unless it is so much of its layer. */
const LEAST_SHARE = 0.5;

const known = new WeakMap<StackState, Outside>();

/**
 * The faces of an item as it ends: in front the upper faces of what lies on top, behind the lower faces of what lies
 * underneath, each part judged by itself, and inside a pocket the two faces that meet there. Of work that was turned
 * only what lies inside its closing seam counts.
 *
 * @example
 * outside(lastStateOfTheTab, tab).back[0]?.rightSide // true
 */
export function outside(state: StackState, item: Item): Outside {
  const before = known.get(state);
  if (before) return before;
  const inside = turnedRegion(state);
  const within = (layer: Layer): Region =>
    inside && !layer.hangs ? intersection(layer.outline, inside) : layer.outline;
  const seen = (layers: Layer[], rightWhen: Layer['face']): Shown[] => {
    let open: Region | null = null;
    const shown: Shown[] = [];
    for (const layer of layers) {
      const cloth = within(layer);
      const visible: Region = open === null ? cloth : difference(cloth, open);
      const area = regionArea(visible);
      // An eye is small as a whole.
      if (area >= Math.min(LEAST_AREA_MM2, LEAST_SHARE * regionArea(cloth)) && area > 0)
        shown.push({ layer, rightSide: layer.folded || layer.face === rightWhen, area, region: visible });
      open = open === null ? cloth : union(open, cloth);
    }
    return shown.sort((a, b) => b.area - a.area);
  };
  const front = seen([...state.layers].reverse(), 'up');
  const back = seen(state.layers, 'down');
  const lining = pocket(state, item, seen);
  const shown = new Set([...front, ...back, ...lining].map(({ layer }) => layer));
  const found = { front, back, lining, hidden: state.layers.filter((layer) => !shown.has(layer)).reverse() };
  known.set(state, found);
  return found;
}

function union(a: Region, b: Region): Region {
  return [...difference(a, b), ...b];
}

/** What lies inside the closing seams of work that was turned. */
function turnedRegion({ seams, turns }: StackState): Region | null {
  if (turns === 0) return null;
  const path = seams
    .filter(({ role }) => role === 'closing-seam')
    .flatMap(({ paths }) => paths)
    .find(({ closed }) => closed);
  return path ? regionOf(path) : null;
}

/** The gap that a zip’s sheet opens into, seen from both sides. */
function pocket(
  state: StackState,
  item: Item,
  seen: (layers: Layer[], rightWhen: Layer['face']) => Shown[]
): Shown[] {
  const zip = state.layers.findIndex(({ zip: to }) => to !== null);
  if (state.turns === 0) return [];
  if (zip < 0) return mouth(state, item, seen);
  const gaps = gapsOf(state).filter(({ opening }) => opening !== Infinity);
  const beneath = gaps.findLast(({ below }) => below < zip);
  const above = gaps.find(({ below }) => below >= zip);
  const gap = beneath ?? above;
  if (!gap) return [];
  const lower = seen(state.layers.slice(0, gap.below + 1).reverse(), 'up');
  const upper = seen(state.layers.slice(gap.below + 1), 'down');
  return [...lower, ...upper].filter(({ layer }) => findPiece(item, layer.pieceId)?.shows !== 'front');
}

/**
 * What one sees of the linings through a mouth that stays open: in the gap a hand goes into, which shows the least stabiliser
 * and the like.
 */
function mouth(
  state: StackState,
  item: Item,
  seen: (layers: Layer[], rightWhen: Layer['face']) => Shown[]
): Shown[] {
  const stays = (lineId: string): boolean =>
    findLine(item, lineId)?.gaps.some(({ stays: open }) => open === true) === true;
  const showing = ({ layer }: Shown): string => findPiece(item, layer.pieceId)?.shows ?? 'nothing';
  const bare = (shown: Shown[]): number => shown.filter((each) => showing(each) === 'nothing').length;
  const [inside = []] = gapsOf(state)
    .filter(({ lineIds }) => lineIds.some(stays))
    .map(({ below }) => [
      ...seen(state.layers.slice(0, below + 1).reverse(), 'up'),
      ...seen(state.layers.slice(below + 1), 'down')
    ])
    .sort((a, b) => bare(a) - bare(b));
  return inside.filter((each) => showing(each) === 'lining');
}
