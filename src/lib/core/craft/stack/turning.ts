import type { StackEffect } from '$lib/core/craft/operations';
import { mirroredAcross, type Point } from '$lib/core/base/geometry';
import { findPiece, type Item } from '$lib/core/documents/item';
import { nameOf } from './laying';
import { type Change, type Layer, refuse, type Seam, type StackState } from './state';
import { liesAt, samplesOf } from './under';

/** Smallest opening that work can be turned through, mm. */
export const LEAST_OPENING_MM = 60;

/** Space between a layer and the next one up, and what closes it. */
export interface Gap {
  /** Index of the layer below it. */
  below: number;
  /** Largest opening that every closing seam across it leaves, mm; Infinity where nothing closes it. */
  opening: number;
  /** Lines of the closing seams across it. */
  lineIds: string[];
}

/**
 * The gaps between neighbouring sheets, from the bottom up. Layers joined by any seam but a closing one are one sheet,
 * so there is no gap inside it.
 */
export function gapsOf({ layers, seams }: Pick<StackState, 'layers' | 'seams'>): Gap[] {
  const indexOf = new Map(layers.map(({ pieceId }, at) => [pieceId, at]));
  const spans = seams.flatMap((seam) => {
    const at = seam.layers.flatMap((id) => indexOf.get(id) ?? []);
    return at.length > 1 ? [{ seam, from: Math.min(...at), to: Math.max(...at) }] : [];
  });
  return layers.slice(1).flatMap((_, below): Gap[] => {
    const across = spans.filter(({ from, to }) => from <= below && to > below);
    if (across.some(({ seam }) => !closes(seam))) return [];
    return [
      {
        below,
        opening: Math.min(...across.map(({ seam }) => seam.opening)),
        lineIds: across.flatMap(({ seam }) => seam.lineIds)
      }
    ];
  });
}

const closes = (seam: Seam): boolean => seam.role === 'closing-seam';

/**
 * Turns the work through the opening of a closing seam or through a zip. The two faces that met in the gap are the
 * outside then; what lay beyond is inside.
 */
export function turnThrough(
  state: StackState,
  op: Extract<StackEffect, { does: 'turn' }>,
  item: Item
): Change {
  if (state.hoop.where !== 'unhooped')
    return refuse(state, 'The work is still in the ring, so it cannot be turned.');
  const hanging = state.layers.filter((layer) => hangsFrom(layer, state, item));
  const sheets = { ...state, layers: state.layers.filter((layer) => !hanging.includes(layer)) };
  const turned = turnedSheets(sheets, op, item);
  return turned.turned ? swungOut(turned, hanging, state, item) : { ...turned, layers: state.layers };
}

function turnedSheets(state: StackState, op: Extract<StackEffect, { does: 'turn' }>, item: Item): Change {
  const gaps = gapsOf(state).filter(({ opening }) => opening !== Infinity);
  if (op.pieceId !== undefined) return turnThroughZip(state, op.pieceId, gaps, item);
  const named =
    op.lineId === undefined ? gaps : gaps.filter(({ lineIds }) => lineIds.includes(op.lineId ?? ''));
  if (named.length === 0)
    return refuse(state, 'No closing seam joins two sheets here, so there is nothing to turn.');
  const open = named.filter(({ opening }) => opening >= LEAST_OPENING_MM);
  // Where several sheets part, the maker reaches in between the two right sides.
  const best = (open.length > 0 ? open : named).sort(
    (a, b) =>
      rightSides(state, b, item) - rightSides(state, a, item) ||
      rightSides(shownOnly(state, b, item), b, item) - rightSides(shownOnly(state, a, item), a, item) ||
      Math.sign(b.opening) - Math.sign(a.opening) ||
      outsides(state, b, item) - outsides(state, a, item)
  )[0];
  if (!best) return refuse(state, 'There is nothing to turn.');
  // An opening that is too small is said, and the rest goes on as if the work had gone through.
  return { ...turnedAt(state, best.below, item), problem: open.length > 0 ? null : tooSmall(best.opening) };
}

/** Whether a layer is caught by the closing seam alone, so that it swings out when the work is turned. */
function hangsFrom({ pieceId }: Layer, { seams }: StackState, item: Item): boolean {
  const through = seams.filter((seam) => seam.layers.includes(pieceId));
  return (
    findPiece(item, pieceId)?.hangs !== undefined &&
    through.some(closes) &&
    through.every((seam) => closes(seam) || seam.role === 'tack-down')
  );
}

/** What hangs lies between the two sheets, the other way up, beyond the side of the seam it is caught at. */
function swungOut(turned: Change, hanging: Layer[], { seams }: StackState, item: Item): Change {
  const out = hanging.map((layer): Layer => {
    const side = findPiece(item, layer.pieceId)?.hangs ?? 'bottom';
    const upright = side === 'top' || side === 'bottom';
    const along = seams
      .filter((each) => closes(each) && each.layers.includes(layer.pieceId))
      .flatMap(({ paths }) => paths.flatMap(samplesOf))
      .filter((point) => liesAt(layer, point))
      .map(([x, y]) => (upright ? y : x));
    if (along.length === 0) return layer;
    // At the seam as it runs there; a mirror is straight.
    const at = side === 'top' || side === 'left' ? Math.min(...along) : Math.max(...along);
    const [from, to]: [Point, Point] = upright
      ? [
          [0, at],
          [1, at]
        ]
      : [
          [at, 0],
          [at, 1]
        ];
    const face = layer.face === 'up' ? 'down' : 'up';
    return { ...layer, face, outline: mirroredAcross(layer.outline, from, to), hangs: true };
  });
  const middle = Math.ceil(turned.layers.length / 2);
  return { ...turned, layers: turned.layers.toSpliced(middle, 0, ...out) };
}

function tooSmall(opening: number): string {
  return opening === 0
    ? 'The seam is closed all round, so there is no opening to turn through.'
    : `The opening of ${Math.round(opening)} mm is too small to turn through.`;
}

/** How many of the two sheets that meet in a gap are meant to be the outside: linings lie inside. */
function outsides({ layers }: StackState, { below }: Gap, item: Item): number {
  return [layers[below], layers[below + 1]].filter((layer) => {
    const shows = layer && findPiece(item, layer.pieceId)?.shows;
    return shows === 'front' || shows === 'back';
  }).length;
}

/** The same sandwich with the nearest layers that are seen in the end moved to the gap, past loops and the like. */
function shownOnly({ layers }: StackState, { below }: Gap, item: Item): Pick<StackState, 'layers'> {
  const seen = (layer: Layer): boolean => findPiece(item, layer.pieceId)?.shows !== 'nothing';
  const lower = layers.slice(0, below + 1).findLast(seen);
  const upper = layers.slice(below + 1).find(seen);
  const moved = [...layers];
  if (lower) moved[below] = lower;
  if (upper) moved[below + 1] = upper;
  return { layers: moved };
}

function turnThroughZip(state: StackState, pieceId: string, gaps: Gap[], item: Item): Change {
  const name = nameOf(item, pieceId);
  const at = state.layers.findIndex((layer) => layer.pieceId === pieceId);
  const zip = state.layers[at];
  if (zip?.folded) return turnThroughEnvelope(state, name, gaps, item);
  if (!zip || zip.zip === null) return refuse(state, `There is no zip ${name} to turn through.`);
  const above = gaps.find(({ below }) => below >= at);
  const beneath = gaps.findLast(({ below }) => below < at);
  // A zip opens on the gaps on both sides of its sheet: the one that is not outside already is turned.
  const through = [above, beneath].find((gap) => gap !== undefined);
  if (!through) return refuse(state, `${name} leads to no gap that could be turned.`);
  const problem = zip.zip === 'closed' ? `${name} is closed, so nothing can be turned through it.` : null;
  return { ...turnedAt(state, through.below, item), problem };
}

/** Two folded backs that overlap leave an opening between them: the work turns through it from the gap before the front. */
function turnThroughEnvelope(state: StackState, name: string, gaps: Gap[], item: Item): Change {
  const backs = state.layers.flatMap((layer, at) =>
    layer.folded && findPiece(item, layer.pieceId)?.shows === 'back' ? [at] : []
  );
  const [first, second] = backs;
  if (first === undefined || second === undefined)
    return refuse(state, `${name} overlaps no other back, so there is no envelope to turn through.`);
  const through = gaps.findLast(({ below }) => below < first);
  if (!through) return refuse(state, `${name} leads to no gap that could be turned.`);
  return { ...turnedAt(state, through.below, item), problem: null };
}

function turnedAt(state: StackState, below: number, item: Item): Change {
  const lower = state.layers.slice(0, below + 1);
  const upper = state.layers.slice(below + 1);
  const turned = over([...lower].reverse()).concat(over([...upper].reverse()));
  // It is put down with its front to the maker.
  const shows = (layer: Layer | undefined): string =>
    (layer && findPiece(item, layer.pieceId)?.shows) ?? 'nothing';
  const upsideDown =
    shows(turned[0]) === 'front' || (shows(turned.at(-1)) === 'back' && shows(turned[0]) !== 'back');
  return {
    layers: upsideDown ? over(turned.reverse()) : turned,
    changed: state.layers.map(({ pieceId }) => pieceId),
    problem: null,
    turned: true
  };
}

function over(layers: Layer[]): Layer[] {
  return layers.map((layer): Layer => ({ ...layer, face: layer.face === 'up' ? 'down' : 'up' }));
}

/** How many of the two faces that meet in a gap are right sides meant to be seen. */
export function rightSides({ layers }: Pick<StackState, 'layers'>, { below }: Gap, item: Item): number {
  const shown = (layer: Layer | undefined, face: Layer['face']): number =>
    layer && layer.face === face && findPiece(item, layer.pieceId)?.shows !== 'nothing' ? 1 : 0;
  return shown(layers[below], 'up') + shown(layers[below + 1], 'down');
}
