import type { Placement } from '$lib/core/documents/order';
import type { Area } from '$lib/core/solvers/nesting';

/** A border of repeats round a hem or along an edge. */
export interface BorderPlan {
  /** Repeats in all. */
  repeats: number;
  /** Middle to middle of two repeats, mm, so that they come out even. */
  pitch: number;
  /** What each repeat gains (or loses, below 0) against its own length, mm. */
  stretch: number;
  /** Repeats that one hooping holds, and hoopings for all of them. */
  perHooping: number;
  hoopings: number;
}

/**
 * How often a border repeats round a hem, and in how many hoopings, each lined up on the last repeat of the one before.
 *
 * @param length of the hem, mm
 * @param repeat length of one repeat, mm
 * @param sides sides between corners; each takes a whole number of repeats
 * @returns null when one repeat is longer than a side or than the field
 *
 * @example
 * // a cloth of 400 mm a side, a repeat of 78 mm, a field 180 mm long: five to a side, 80 mm apart
 * borderRepeats(1600, 78, { minX: -65, minY: -90, maxX: 65, maxY: 90 }, 4) // { repeats: 20, pitch: 80, perHooping: 2, hoopings: 12 }
 */
export function borderRepeats(length: number, repeat: number, area: Area, sides = 1): BorderPlan | null {
  const side = length / sides;
  const room = Math.max(area.maxX - area.minX, area.maxY - area.minY);
  const onSide = Math.round(side / repeat);
  if (onSide < 1 || repeat > room) return null;
  const pitch = side / onSide;
  const perHooping = Math.max(1, Math.floor((room - repeat) / pitch + 1 + 1e-9));
  return {
    repeats: onSide * sides,
    pitch,
    stretch: pitch - repeat,
    perHooping,
    hoopings: Math.ceil(onSide / perHooping) * sides
  };
}

/** Repeats of one hooping in a row along the longer side of the field. */
export function borderPlacements(count: number, pitch: number, area: Area): Placement[] {
  const upright = area.maxY - area.minY > area.maxX - area.minX;
  const [cx, cy] = [(area.minX + area.maxX) / 2, (area.minY + area.maxY) / 2];
  return Array.from({ length: count }, (_, at): Placement => {
    const along = (at - (count - 1) / 2) * pitch;
    return {
      part: 0,
      x: cx + (upright ? 0 : along),
      y: cy + (upright ? along : 0),
      turn: upright ? 90 : 0,
      mirrored: false
    };
  });
}

/**
 * The corners of one cloth, one after another: each turned a quarter further, on a fresh part of the stabiliser where
 * the field has room for it, else in a hooping of its own.
 *
 * @param places where copies lie in the field, as `layOut` finds them
 * @returns placements of each hooping
 *
 * @example
 * cornerHoopings(4, twoPlaces).map((each) => each.map(({ turn }) => turn)) // [[0, 90], [180, 270]]
 */
export function cornerHoopings(corners: number, places: readonly Placement[]): Placement[][] {
  const turns = [0, 90, 180, 270] as const;
  const found: Placement[][] = [];
  for (let at = 0; at < corners; at++) {
    const place = places[at % Math.max(1, places.length)] ?? {
      part: 0,
      x: 0,
      y: 0,
      turn: 0,
      mirrored: false
    };
    const turned = { ...place, turn: turns[at % 4] ?? 0 };
    if (at % Math.max(1, places.length) === 0) found.push([turned]);
    else found.at(-1)?.push(turned);
  }
  return found;
}
