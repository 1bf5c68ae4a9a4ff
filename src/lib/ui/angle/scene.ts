import { type Point, rectangleRegion, type Region, regionExtents, simplified } from '$lib/core/base/geometry';
import type { Item, MaterialKind, Operation } from '$lib/core/documents/item';
import type { Layer, StackStep } from '$lib/core/craft/stack';
import { layerWords } from '$lib/ui/stack/scene';

/** One layer, drawn apart from those above and below it; coordinates are dots of the drawing. */
export interface AngleLayer {
  pieceId: string;
  name: string;
  kind: MaterialKind;
  colour: string;
  /** Whether its right side lies towards the maker. */
  rightSide: boolean;
  /** As SVG path data. */
  shape: string;
  /** Strips of tape and pins on it, as path data. */
  tape: string;
  pins: Point[];
  /** Stitching that goes through it and shows on it, as path data. */
  seams: string;
  /** Where its words stand, from above. */
  y: number;
  now: boolean;
  words: string;
}

export interface AngleScene {
  width: number;
  height: number;
  /** The ring between the layers, and over which layer it is drawn, counted from the back. */
  ring: { shape: string; at: number } | null;
  /** From the furthest to the nearest, in the order of drawing. */
  layers: AngleLayer[];
  /** How what the step does moves. */
  motion: Motion | null;
}

/** A laying comes down, a flip swings over, the hoop turns, work is turned through its opening. */
export type Motion = 'lay' | 'flip' | 'turn' | 'through';

const MOTIONS: Partial<Record<Operation['do'], Motion>> = {
  lay: 'lay',
  float: 'lay',
  'topping-on': 'lay',
  flip: 'flip',
  'turn-over': 'turn',
  'turn-through': 'through'
};

/** How far a step back goes to the right and up, as shares of its length. */
const RIGHT = 0.42;
const UP = 0.4;
/** Dots between the places of two layers: two lines of words. */
const APART = 46;
/** Corners that are finer than this are not drawn, mm. */
const EXACT = 0.6;
const MARGIN = 10;
const STRIP = { length: 22, width: 7 };

/**
 * The layers in the hoop drawn apart, seen at an angle: nearest to the maker on top, right sides patterned, wrong sides plain.
 *
 * @param ring outer size of the ring, mm
 * @param width of the drawing, dots
 *
 * @example
 * angleScene(item, step, { width: 160, height: 220 }, 300).layers.at(-1)?.name // what lies on top
 */
export function angleScene(
  item: Item,
  { stepId, state, changed }: StackStep,
  ring: { width: number; height: number },
  width: number
): AngleScene {
  const { hoop } = state;
  // Turned over, what lay underneath is nearest, and left is right.
  const layers = hoop.turned ? [...state.layers].reverse() : state.layers;
  const isHooped = hoop.where !== 'empty' && hoop.where !== 'unhooped';
  const box = regionExtents([
    ...layers.map(({ outline }) => outline),
    ...(isHooped ? [rectangleRegion([0, 0], ring.width, ring.height)] : [])
  ]);
  if (!box || layers.length === 0) return { width, height: 0, ring: null, layers: [], motion: null };
  const scale = (width - 2 * MARGIN) / (box.width + box.height * RIGHT);
  const deep = box.height * UP * scale;
  const height = MARGIN * 2 + deep + APART * (layers.length - 1);
  const at =
    (place: number) =>
    ([x, y]: Point): Point => {
      const across = hoop.turned ? box.maxX - x : x - box.minX;
      const back = box.maxY - y;
      return [
        tenth(MARGIN + (across + back * RIGHT) * scale),
        tenth(height - MARGIN - place * APART - back * UP * scale)
      ];
    };
  const path = (points: readonly Point[], place: number, closed = true): string =>
    points.length === 0
      ? ''
      : `M${simplified({ closed, points: [...points] }, EXACT)
          .points.map(at(place))
          .map((point) => point.join(' '))
          .join('L')}${closed ? 'Z' : ''}`;
  const of = (region: Region, place: number): string => region.map((points) => path(points, place)).join('');
  const hoopedAt = layers.findIndex((layer) => layer.where === 'hooped');
  const step = item.steps.find(({ id }) => id === stepId);
  return {
    width,
    height,
    motion: step?.kind === 'hand' ? (MOTIONS[step.op.do] ?? null) : null,
    ring:
      isHooped && hoopedAt >= 0
        ? { shape: of(rectangleRegion([0, 0], ring.width, ring.height), hoopedAt), at: hoopedAt }
        : null,
    layers: layers.map((layer, place): AngleLayer => {
      const rightSide = layer.folded || (layer.face === 'up') !== hoop.turned;
      const corner = at(place);
      return {
        pieceId: layer.pieceId,
        name: layer.name,
        kind: layer.material.kind,
        colour: layer.material.colour,
        rightSide,
        shape: of(layer.outline, place),
        tape: tapeOn(layer, corner),
        pins: (layer.pins?.points ?? []).filter((_, nth) => nth % 12 === 0).map(corner),
        seams: state.seams
          .filter(({ layers: joined }) => lastOf(joined, hoop.turned) === layer.pieceId)
          .flatMap(({ paths }) => paths.map(({ points, closed }) => path(points, place, closed)))
          .join(''),
        y: height - MARGIN - place * APART - deep / 2,
        now: changed.includes(layer.pieceId),
        words: layerWords(layer, item, hoop.turned)
      };
    })
  };
}

const tenth = (value: number): number => Math.round(value * 10) / 10;

function lastOf(joined: readonly string[], turned: boolean): string | undefined {
  return turned ? joined[0] : joined.at(-1);
}

/** Strips across the corners of a taped layer. */
function tapeOn(layer: Layer, at: (point: Point) => Point): string {
  const box = layer.strips > 0 ? regionExtents([layer.outline]) : undefined;
  if (!box) return '';
  const { minX, minY, maxX, maxY } = box;
  const corners: Point[] = [
    [minX, minY],
    [maxX, minY],
    [maxX, maxY],
    [minX, maxY]
  ];
  return corners
    .slice(0, Math.max(2, Math.min(4, layer.strips)))
    .flatMap((corner) => rectangleRegion(corner, STRIP.length, STRIP.width))
    .map(
      (strip) =>
        `M${strip
          .map(at)
          .map((point) => point.join(' '))
          .join('L')}Z`
    )
    .join('');
}
