import { type Extents, extentsOfAll } from '$lib/core/base/geometry';
import type { Art, Item, Role } from '$lib/core/documents/item';
import { type StackState, visibleThreads } from '$lib/core/craft/stack';

/** A design’s own picture as it lies on a face. */
export interface PlacedArt extends Omit<Art, 'stopIds'> {
  /** The piece it lies on, beyond which it is not seen; null where nobody knows. */
  on: string | null;
}

/**
 * Pictures of designs on one face, as soon as a stop that they show is stitched, and the steps whose thread they stand for.
 *
 * @example
 * artOn('front', lastState, item).art.map(({ picture }) => picture) // ['3f9a…']
 */
export function artOn(
  side: 'front' | 'back',
  state: StackState,
  item: Pick<Item, 'art'>
): { art: PlacedArt[]; stepIds: Set<string> } {
  const stepIds = new Set<string>();
  if (!item.art?.length) return { art: [], stepIds };
  const visible = new Map(visibleThreads(state).map((each) => [each.stepId, each]));
  const art = item.art.flatMap(({ stopIds, ...placed }): PlacedArt[] => {
    const shown = state.seams.filter(
      ({ stepId, stopId }) =>
        stopId !== null && stopIds.includes(stopId) && visible.get(stepId)?.upper === side
    );
    shown.forEach(({ stepId }) => stepIds.add(stepId));
    const on = shown[0]?.upper?.pieceId ?? null;
    const isThere = state.layers.some(({ pieceId }) => pieceId === on);
    return shown.length > 0 ? [{ ...placed, on: isThere ? on : null }] : [];
  });
  return { art, stepIds };
}

/** The share of a design’s place that its picture fills at first. */
const FILLED = 0.9;

/**
 * Where a picture lies at first: in the middle of the place of its design, as large as that takes it.
 *
 * @param box of the design’s place, mm
 * @param picture its sides, in any unit
 *
 * @example
 * placedIn({ minX: -20, minY: -20, maxX: 20, maxY: 20, width: 40, height: 40 }, { width: 800, height: 400 }).height // 18
 */
export function placedIn(
  box: Extents,
  picture: { width: number; height: number }
): Omit<Art, 'id' | 'picture' | 'stopIds'> {
  const scale = FILLED * Math.min(box.width / picture.width, box.height / picture.height);
  return {
    x: (box.minX + box.maxX) / 2,
    y: (box.minY + box.maxY) / 2,
    width: Math.max(1, picture.width * scale),
    height: Math.max(1, picture.height * scale),
    turn: 0,
    crop: { left: 0, top: 0, right: 0, bottom: 0 }
  };
}

/**
 * The stops that fill the same place as one, which one picture stands for together, and that place.
 *
 * @returns their names, and the place in mm; a card of 60 mm in the middle where no line says it
 */
export function stopsInPlace(
  item: Item,
  stopId: string
): { stopIds: string[]; names: string[]; box: Extents } {
  const stops = item.files.flatMap((file) => file.stops);
  const own = stops.find(({ id }) => id === stopId);
  const key = own?.lineIds.join(' ') ?? '';
  const together = stops.filter(
    (stop) => stop.id === stopId || (DESIGNS.has(stop.role) && stop.lineIds.join(' ') === key)
  );
  const paths = item.lines.filter(({ id }) => own?.lineIds.includes(id)).map(({ path }) => path);
  return {
    stopIds: together.map(({ id }) => id),
    names: together.map(({ name }) => name),
    box: extentsOfAll(paths) ?? NO_PLACE
  };
}

/** Roles of stops that a picture can stand for. */
export const DESIGNS: ReadonlySet<Role> = new Set(['decoration', 'lettering']);
const NO_PLACE: Extents = { minX: -30, minY: -30, maxX: 30, maxY: 30, width: 60, height: 60 };
