import { isStabiliserKind, type Operation, type Piece } from '$lib/core/documents/item';
import type { ExpectedStop, Pattern } from '$lib/core/craft/sequence';

/** Tape or pins on a piece. */
export interface Hold {
  piece: Piece;
  strips: number;
  pins: boolean;
  stitched: boolean;
}

/** How far the work has come: what a block has to know of those before it. */
export interface Standing {
  /** The hooping whose material is in the ring; null before the first and after the last. */
  hooping: string | null;
  /** Pieces the ring clamps, from below up. */
  ring: Piece[];
  /** The hoop is on the machine, its front up. */
  onMachine: boolean;
  /** The hoop is turned over. */
  turned: boolean;
  /** The piece that lies open to the needle; null where only stabiliser does, or a back covers all. */
  top: Piece | null;
  /** Batting or a second cloth lies under the one on top. */
  layered: boolean;
  /** Cloth that reaches past the seam and is not cut back to it yet, and what is tacked along the seam. */
  untrimmed: Piece[];
  tacked: string[];
  /** Toppings that lie on the work. */
  toppings: Piece[];
  /** What tape and pins hold, by piece, and whether stitches hold it by now. */
  holds: Hold[];
  /** Pieces laid under the hoop that no stitch has caught yet. */
  loose: Piece[];
  /** A basting box was stitched, which is picked out at the end. */
  basted: boolean;
  /** The back that was laid face down on the front. */
  covered: Piece | null;
  /** The back under the hoop. */
  under: Piece | null;
  /** The seam that closed front and back, with its opening, mm. */
  closing: { lineId: string; opening: number } | null;
  /** What goes round the work as its edge. */
  edged: boolean;
  zip: Piece | null;
  /** A thing bought finished, which the item is stitched on. */
  readyMade: Piece | null;
  /** The ring was opened for the last time. */
  out: boolean;
  /** It was cut from its hooping. */
  cut: boolean;
  /** Pieces and lines that blocks before it made. */
  made: ReadonlySet<string>;
}

/**
 * How far a pattern has come, from the steps written so far.
 *
 * @param outlineIds lines that go round the whole item
 */
export function standingOf(pattern: Readonly<Pattern>, outlineIds: readonly string[]): Standing {
  const now: Standing = {
    hooping: null,
    ring: [],
    onMachine: false,
    turned: false,
    top: null,
    layered: false,
    untrimmed: [],
    tacked: [],
    toppings: [],
    holds: [],
    loose: [],
    basted: false,
    covered: null,
    under: null,
    closing: null,
    edged: false,
    zip: null,
    readyMade: pattern.pieces.find((piece) => piece.readyMade) ?? null,
    out: false,
    cut: false,
    made: new Set([...pattern.pieces, ...pattern.lines].map(({ id }) => id))
  };
  const pieceOf = new Map(pattern.pieces.map((piece) => [piece.id, piece]));
  const stopOf = new Map(pattern.expected.map((stop) => [stop.key, stop]));
  for (const entry of pattern.entries) {
    if (entry.kind === 'hand') {
      if (entry.op.do === 'hoop') now.hooping = entry.hoopingId ?? null;
      afterHands(now, entry.op, pieceOf, outlineIds);
      continue;
    }
    const stop = stopOf.get(entry.key);
    if (stop) caughtBy(now, stop, outlineIds);
    if (stop?.role === 'basting') now.basted = true;
    if (stop?.role === 'tack-down' && stop.lineIds.some((id) => outlineIds.includes(id)))
      now.tacked = now.untrimmed.map(({ id }) => id);
    if (stop?.role === 'closing-seam') {
      const line = pattern.lines.find(({ id }) => id === stop.lineIds[0]);
      const opening = Math.max(0, ...(line?.gaps ?? []).map(({ from, to }) => to - from));
      if (now.covered) now.closing = { lineId: line?.id ?? '', opening };
      else now.edged = true;
    }
    if (stop?.role === 'satin-edge' && stop.lineIds.some((id) => outlineIds.includes(id))) now.edged = true;
  }
  return now;
}

function afterHands(
  now: Standing,
  op: Operation,
  pieceOf: ReadonlyMap<string, Piece>,
  outlineIds: readonly string[]
): void {
  switch (op.do) {
    case 'hoop':
      now.ring = op.pieceIds.flatMap((id) => pieceOf.get(id) ?? []);
      now.top = now.ring.findLast(isCloth) ?? null;
      now.layered = now.ring.some(({ material }) => material.kind === 'batting');
      now.out = false;
      return;
    case 'hoop-on':
      now.onMachine = true;
      return;
    case 'hoop-off':
      now.onMachine = false;
      return;
    case 'turn-over':
      now.turned = !now.turned;
      return;
    case 'unhoop':
      Object.assign(now, { onMachine: false, turned: false, out: true, hooping: null, ring: [] });
      return;
    case 'flip': {
      const flipped = pieceOf.get(op.pieceId);
      if (!flipped) return;
      now.layered = true;
      now.top = flipped;
      now.untrimmed = [...now.untrimmed, flipped];
      return;
    }
    case 'lay':
      afterLaying(now, op, pieceOf.get(op.pieceId), outlineIds);
      return;
    case 'float':
      now.top = pieceOf.get(op.pieceId) ?? now.top;
      return;
    case 'tape':
      held(now, pieceOf.get(op.pieceId), { strips: op.strips });
      return;
    case 'untape': {
      // What stitches hold is freed first.
      let left = op.strips;
      for (const hold of [...now.holds].sort((a, b) => Number(b.stitched) - Number(a.stitched))) {
        const off = Math.min(left, hold.strips);
        hold.strips -= off;
        left -= off;
      }
      now.holds = now.holds.filter(({ strips, pins }) => strips > 0 || pins);
      return;
    }
    case 'pin':
      held(now, pieceOf.get(op.pieceId), { pins: true });
      return;
    case 'unpin':
      for (const hold of now.holds) hold.pins = false;
      now.holds = now.holds.filter(({ strips }) => strips > 0);
      return;
    case 'trim':
      now.untrimmed = now.untrimmed.filter(({ id }) => !op.pieceIds.includes(id));
      return;
    case 'topping-on':
      now.toppings = [...now.toppings, ...[pieceOf.get(op.pieceId)].filter((each) => each !== undefined)];
      return;
    case 'topping-off':
      now.toppings = now.toppings.filter(({ id }) => id !== op.pieceId);
      return;
    case 'cut-out':
      now.cut = true;
      return;
  }
}

function afterLaying(
  now: Standing,
  op: Extract<Operation, { do: 'lay' }>,
  piece: Piece | undefined,
  outlineIds: readonly string[]
): void {
  if (!piece) return;
  if (op.hold.by === 'tape') held(now, piece, { strips: op.hold.strips });
  if (op.hold.by === 'pins') held(now, piece, { pins: true });
  if (piece.use === 'zip-tape') now.zip = piece;
  if (piece.use === 'batting' && now.covered === null) now.layered = true;
  const overAll = piece.covers !== null && outlineIds.includes(piece.covers);
  if (op.side === 'below') {
    if (piece.use === 'backing') now.under = piece;
    now.loose = [...now.loose, piece];
    return;
  }
  if (op.face === 'down') {
    if (piece.use === 'backing') Object.assign(now, { covered: piece, top: null });
    return;
  }
  if (
    (overAll && !op.edge) ||
    piece.use === 'flipped' ||
    (piece.folded && piece.use === 'applique' && piece.bound !== true)
  )
    now.untrimmed = [...now.untrimmed, piece];
  if (isCloth(piece) && (overAll || now.top === null)) now.top = piece;
}

function held(now: Standing, piece: Piece | undefined, by: Partial<Pick<Hold, 'strips' | 'pins'>>): void {
  if (piece) now.holds.push({ piece, strips: 0, pins: false, stitched: false, ...by });
}

/** A tack-down catches what lies on its line, a join what is flipped there; a seam round the item catches all. */
function caughtBy(now: Standing, { role, lineIds }: ExpectedStop, outlineIds: readonly string[]): void {
  const round =
    lineIds.some((id) => outlineIds.includes(id)) || role === 'closing-seam' || role === 'basting';
  const catches = ({ use, covers, bound, folded }: Piece): boolean =>
    (round && role !== 'placement') ||
    (role === 'tack-down' &&
      (use === 'zip-tape' || lineIds.some((id) => id === covers || id === `${covers ?? ''}-in`))) ||
    (role === 'join-seam' && use === 'flipped') ||
    // Through pages and the like; what a seam round the item is to catch waits for that.
    (role === 'topstitch' && use !== 'flipped' && bound !== true && !folded);
  for (const hold of now.holds) hold.stitched ||= catches(hold.piece);
  now.loose = now.loose.filter((piece) => !catches(piece));
}

/** Cloth that is meant to be seen or stitched on, no stabiliser, batting or film. */
function isCloth({ material }: Piece): boolean {
  return (
    !isStabiliserKind(material.kind) && !['batting', 'fusible', 'zip', 'metal-zip'].includes(material.kind)
  );
}
