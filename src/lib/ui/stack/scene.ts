import { extents, type Region } from '$lib/core/base/geometry';
import { findPiece, findStop, type Item } from '$lib/core/documents/item';
import {
  type Holding,
  type Layer,
  outside,
  type Seam,
  type Shown,
  sidesOf,
  type StackStep,
  visibleThreads
} from '$lib/core/craft/stack';

/** One layer in the side view, the nearest to the maker first. */
export interface StackRow {
  pieceId: string;
  name: string;
  material: string;
  colour: string;
  /** Left and right edge, mm from the middle of the hoop as the maker sees it. */
  left: number;
  right: number;
  /** Edge that carries the ticks of the right side; null where a material has no wrong side to show. */
  ticks: 'near' | 'far' | null;
  hooped: boolean;
  taped: boolean;
  now: boolean;
  words: string;
}

/** Needle marks that go through rows, mm. */
export interface StackSeam {
  x: number;
  /** First and last row it joins. */
  from: number;
  to: number;
  numbers: string;
  now: boolean;
}

export interface StackScene {
  rows: StackRow[];
  seams: StackSeam[];
  /** Half of the width to draw, mm. */
  reach: number;
  turned: boolean;
  /** What one sees of the item in the end, once it is out of the hoop; empty before. */
  ends: { label: string; text: string }[];
  problem: string | null;
}

/**
 * The hoop seen from the side after a step, as the maker holds it: turned over, what lay underneath is nearest.
 *
 * @param ringWidth outer width of the ring, mm
 */
export function stackScene(item: Item, step: StackStep, ringWidth: number): StackScene {
  const { layers, seams, hoop } = step.state;
  const seen = hoop.turned ? layers : [...layers].reverse();
  const rows = seen.map((layer) => row(layer, item, hoop.turned, step.changed.includes(layer.pieceId)));
  const unhooped = hoop.where === 'unhooped';
  return {
    rows,
    seams: needleMarks(seams, rows, item, hoop.turned, step.stepId),
    reach: Math.max(
      unhooped ? 0 : ringWidth / 2,
      ...rows.flatMap(({ left, right }) => [Math.abs(left), Math.abs(right)])
    ),
    turned: hoop.turned,
    ends: unhooped ? endsOf(step, item) : [],
    problem: step.problem
  };
}

function row(layer: Layer, item: Item, turned: boolean, now: boolean): StackRow {
  const [left, right] = widthOf(layer.outline, turned);
  const shows = findPiece(item, layer.pieceId)?.shows !== 'nothing';
  const toYou = (layer.face === 'up') !== turned;
  return {
    pieceId: layer.pieceId,
    name: layer.name,
    material: layer.material.name,
    colour: layer.material.colour,
    left,
    right,
    ticks: shows ? (toYou ? 'near' : 'far') : null,
    hooped: layer.holds.includes('hooped'),
    taped: layer.holds.includes('tape'),
    now,
    words: layerWords(layer, item, turned)
  };
}

/** Which side of a layer lies towards the maker, and what holds it, in words. */
export function layerWords({ pieceId, face, holds }: Layer, item: Item, turned: boolean): string {
  const shows = findPiece(item, pieceId)?.shows !== 'nothing';
  const words = [
    ...(shows ? [(face === 'up') !== turned ? 'right side to you' : 'right side away'] : []),
    ...holds.map((hold) => HOLD_WORDS[hold])
  ];
  return words.length > 0 ? words.join(', ') : 'held by nothing yet';
}

const HOLD_WORDS: Record<Holding, string> = {
  hooped: 'hooped',
  stitched: 'stitched',
  tape: 'taped',
  spray: 'sprayed',
  glue: 'glued',
  pins: 'pinned',
  fused: 'fused',
  hand: 'held by hand',
  sticky: 'stuck to the stabiliser'
};

/** Needle marks at the left and right edge of each path; stops on one path share their marks. */
function needleMarks(
  seams: Seam[],
  rows: StackRow[],
  item: Item,
  turned: boolean,
  stepId: string
): StackSeam[] {
  const marks = new Map<string, StackSeam>();
  for (const seam of seams) {
    if (seam.assumed) continue;
    const joined = rows.flatMap(({ pieceId }, at) => (seam.layers.includes(pieceId) ? [at] : []));
    const [from, to] = [Math.min(...joined), Math.max(...joined)];
    if (joined.length === 0) continue;
    const number = seam.stopId === null ? 'name' : String(findStop(item, seam.stopId)?.number ?? '?');
    const now = seam.stepId === stepId;
    for (const path of seam.paths) {
      const { minX, maxX } = extents(path);
      for (const x of new Set(turned ? [-minX, -maxX] : [minX, maxX])) {
        const key = x.toFixed(1);
        const old = marks.get(key);
        marks.set(key, {
          x,
          from: Math.min(old?.from ?? from, from),
          to: Math.max(old?.to ?? to, to),
          numbers: old ? [...new Set([...old.numbers.split(', '), number])].join(', ') : number,
          now: now || old?.now === true
        });
      }
    }
  }
  return [...marks.values()];
}

function widthOf(region: Region, turned: boolean): [left: number, right: number] {
  const xs = region.flat().map(([x]) => (turned ? -x : x));
  return xs.length === 0 ? [0, 0] : [Math.min(...xs), Math.max(...xs)];
}

/** What the finished item shows, face by face, each layer with the side that is out. */
function endsOf({ state }: StackStep, item: Item): StackScene['ends'] {
  const { front, back, lining, hidden } = outside(state, item);
  const said = (shown: Shown[]): string =>
    [
      ...new Set(
        shown.map(({ layer, rightSide }) => {
          const plain = findPiece(item, layer.pieceId)?.shows === 'nothing';
          return `${layer.name}${plain ? '' : rightSide ? ', right side' : ', wrong side'}`;
        })
      )
    ].join('; ');
  const seen = visibleThreads(state).map((each) => ({ number: numberOf(item, each), side: sidesOf(each) }));
  const stops = (side: string): string =>
    [
      ...new Set(seen.filter(({ side: own }) => own === side || own === 'both').map(({ number }) => number))
    ].join(', ');
  return [
    { label: 'In front', text: said(front) },
    { label: 'Behind', text: said(back) },
    { label: 'Inside', text: said(lining) },
    { label: 'Hidden', text: hidden.map(({ name }) => name).join(', ') },
    { label: 'Thread in front', text: stops('front') && `stops ${stops('front')}` },
    { label: 'Thread behind', text: stops('back') && `stops ${stops('back')}` }
  ].filter(({ text }) => text !== '');
}

function numberOf(item: Item, { stopId }: { stopId: string | null }): string {
  return stopId === null ? 'name' : String(findStop(item, stopId)?.number ?? '?');
}
