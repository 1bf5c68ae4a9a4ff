import {
  box,
  intersection,
  pathArea,
  regionOf,
  inset,
  type Outline,
  type Path,
  shapePath,
  shifted
} from '$lib/core/base/geometry';
import { choice, length, onlyWhere, outline, type Side } from '$lib/core/craft/sequence';
import type { Frame } from './frame';

/** Asks how far from the middle of the item something lies, mm. */
export const fromTheMiddle = {
  across: length('From the middle, to the right', 0, -600, 600, 'less than 0: to the left'),
  down: length('From the middle, towards you', 0, -600, 600, 'less than 0: away from you')
} as const;

/** Asks for a shape of its own size somewhere on the item. */
export const spotFields = (width: number, height: number) =>
  ({
    shape: outline(
      'oval',
      'rounded',
      'rectangle',
      'heart',
      'shield',
      'tab',
      'triangle',
      'hexagon',
      'scallop'
    ),
    width: length('Width', width, 5, 600),
    height: length('Height', height, 5, 600),
    ...fromTheMiddle
  }) as const;

/** Asks where a field of its own lies. */
export const fieldFields = (width: number, height: number) => {
  const { width: wide, height: tall, across, down } = spotFields(width, height);
  return { width: wide, height: tall, across, down } as const;
};

export interface Spot {
  shape: Outline;
  width: number;
  height: number;
  across: number;
  down: number;
}

export function spotPath({ shape, width, height, across, down }: Spot): Path {
  return shifted(shapePath(shape, width, height), across, down);
}

const REGIONS = {
  all: 'All over',
  upper: 'The upper half',
  lower: 'The lower half',
  left: 'The left half',
  right: 'The right half',
  middle: 'The middle',
  'upper-left': 'The upper left corner',
  'upper-right': 'The upper right corner',
  'lower-left': 'The lower left corner',
  'lower-right': 'The lower right corner'
} as const;
export type RegionName = keyof typeof REGIONS;

/** Asks for a part of the item, or a field of its own. */
export const placeField = (label: string, usual: RegionName) =>
  choice(label, { ...REGIONS, spot: 'A field of its own' }, usual);
/** Asks something of a part of the item alone. */
export const onlyElsewhere = <F extends Parameters<typeof onlyWhere>[0]>(field: F): F =>
  onlyWhere(field, 'where', ...Object.keys(REGIONS)) as F;

/** A part of the item, so far inside its seam. */
export function regionPath(frame: Frame, region: RegionName, inside: number): Path {
  const all = inset(frame.seam, Math.min(inside, Math.min(frame.width, frame.height) / 4));
  const part = boxOf(frame, region, inside);
  if (!part) return all;
  const [ring] = intersection(regionOf(all), regionOf(part)).sort((a, b) => ringArea(b) - ringArea(a));
  return ring && ring.length > 2 ? { closed: true, points: ring } : all;
}

const ringArea = (points: Path['points']): number => pathArea({ closed: true, points });

function boxOf({ width, height }: Frame, region: RegionName, inside: number): Path | null {
  const [w, h] = [width / 2 - inside, height / 2 - inside];
  switch (region) {
    case 'all':
      return null;
    case 'upper':
      return box(-w, -h, w, -inside / 2);
    case 'lower':
      return box(-w, inside / 2, w, h);
    case 'left':
      return box(-w, -h, -inside / 2, h);
    case 'right':
      return box(inside / 2, -h, w, h);
    case 'middle':
      return box(-w / 2, -h / 2, w / 2, h / 2);
    case 'upper-left':
      return box(-w, -h, -w / 3, -h / 3);
    case 'upper-right':
      return box(w / 3, -h, w, -h / 3);
    case 'lower-left':
      return box(-w, h / 3, -w / 3, h);
    case 'lower-right':
      return box(w / 3, h / 3, w, h);
  }
}

export const SIDES = { top: 'Top', bottom: 'Bottom', left: 'Left', right: 'Right' } as const satisfies Record<
  Side,
  string
>;
export const sideField = (label: string, usual: Side) => choice(label, SIDES, usual);
