import { does } from '$lib/core/craft/operations';
import type { Item, Operation } from '$lib/core/documents/item';
import type { DraftStep } from './draftStep';

type Line = Item['lines'][number];
type Stop = Item['files'][number]['stops'][number];
type Piece = Item['pieces'][number];

/** What is stitched in one ring after another. */
export interface Hooped {
  hoopings: Item['hoopings'];
  /** The hooping of each step. */
  of: string[];
  steps: DraftStep[];
  lines: Line[];
  stops: Stop[];
  pieces: Piece[];
}

/** The hooping in which the first stop runs. */
export const FIRST_HOOPING = 'hooping-1';

/**
 * Parts steps into hoopings, one for each time something is hooped; a line that is stitched in a second ring is a line of its
 * own there, for nothing registers from one ring to the next.
 *
 * @example
 * inHoopings({ steps, lines, stops, pieces }).hoopings.map(({ hooped }) => hooped) // [['piece-1'], ['piece-2']]
 */
export function inHoopings(whole: Pick<Hooped, 'steps' | 'lines' | 'stops' | 'pieces'>): Hooped {
  let [now, hooped] = [0, false];
  const at = whole.steps.map(({ op }) => {
    if ('do' in op && does(op, 'clamp') !== null) {
      if (hooped) now += 1;
      hooped = true;
    }
    return now;
  });
  const owner = new Map<string, number>();
  const copies = new Map<string, Line>();
  const own = (lineId: string, hooping: number): string => {
    const first = owner.get(lineId) ?? hooping;
    owner.set(lineId, first);
    if (first === hooping) return lineId;
    const id = `${lineId}-in-${hooping + 1}`;
    const line = whole.lines.find((each) => each.id === lineId);
    if (line) copies.set(id, { ...line, id, frame: frameOf(hooping) });
    return id;
  };
  const stops = [...whole.stops];
  const pieces = [...whole.pieces];
  const steps = whole.steps.map((step, index): DraftStep => {
    const { op } = step;
    const hooping = at[index] ?? 0;
    if ('stop' in op) {
      const place = stops.findIndex(({ id }) => id === op.stop);
      const stop = stops[place];
      if (stop) stops[place] = { ...stop, lineIds: stop.lineIds.map((id) => own(id, hooping)) };
      return step;
    }
    if (op.do === 'lay') {
      const place = pieces.findIndex(({ id }) => id === op.pieceId);
      const piece = pieces[place];
      if (piece?.covers != null) pieces[place] = { ...piece, covers: own(piece.covers, hooping) };
    }
    return { ...step, op: alongOwn(op, (id) => own(id, hooping)) };
  });
  const framed = whole.lines.map((line) => ({ ...line, frame: frameOf(owner.get(line.id) ?? 0) }));
  const several = now > 0;
  return {
    hoopings: Array.from({ length: now + 1 }, (_, nth) => ({
      id: frameOf(nth),
      name: several ? `Hooping ${nth + 1}` : 'Hooping',
      hooped: [
        ...new Set(
          steps.flatMap(({ op }, index) =>
            at[index] === nth && 'do' in op ? (does(op, 'clamp')?.pieceIds ?? []) : []
          )
        )
      ],
      mounting: 1
    })),
    of: at.map(frameOf),
    steps,
    lines: [...framed, ...copies.values()],
    stops,
    pieces
  };
}

function frameOf(nth: number): string {
  return nth === 0 ? FIRST_HOOPING : `hooping-${nth + 1}`;
}

/** An operation along the lines of its own hooping. */
function alongOwn(op: Operation, own: (lineId: string) => string): Operation {
  const along = 'lineId' in op && op.lineId !== undefined ? { ...op, lineId: own(op.lineId) } : op;
  if (along.do === 'lay' && along.edge)
    return { ...along, edge: { ...along.edge, lineId: own(along.edge.lineId) } };
  return 'covers' in along && along.covers !== undefined ? { ...along, covers: own(along.covers) } : along;
}
