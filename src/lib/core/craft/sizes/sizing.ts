import { roundTo, roundUpForCutting } from '$lib/core/base/units';
import type { Item, Piece, PieceUse } from '$lib/core/documents/item';
import { SizePart } from '$lib/core/documents/plan';
import type { Shop } from '$lib/core/documents/shop';

/** Margin on each side by use, mm. Zip tape goes 25 beyond its ends so that the slider lies outside. */
export const MARGIN_MM: Record<PieceUse, number> = {
  hooped: 25,
  applique: 12,
  batting: 12,
  backing: 20,
  flipped: 12,
  'zip-tape': 25,
  adhesive: 10
};

/** How a maker cuts: the ruler’s marks, and margins that differ from the usual ones. */
export type SizingRules = Pick<Shop, 'rounding' | 'margins'>;

/** What a wash takes off a cloth, %. */
export interface Shrinkage {
  along: number;
  across: number;
}

export interface Sized {
  /** On each side, mm. */
  margin: number;
  /** Before rounding. */
  exact: { width: number; height: number };
  cut: { width: number; height: number };
  /** Adds up to `cut`, side by side. */
  parts: SizePart[];
  /** Where its middle lies from the middle of the design, mm, if not on it. */
  offset?: { x: number; y: number };
}

/**
 * What to cut for a piece, and why: what it covers, the margin of its use on each side, the allowance where it is sewn and
 * flipped, the fold that is pressed under, the half that lies underneath of what is folded, what gathers take up, what a wash takes, and rounding up to the ruler. A pre-cut shape is cut on its
 * line. A size the maker has set stands, and what it differs by is said.
 *
 * @param covered what it must cover, mm
 * @param shrinkage of the cloth it is cut from, where it is not washed yet
 */
export function sizeOf(
  piece: Piece,
  item: Item,
  covered: { width: number; height: number },
  rules: SizingRules,
  shrinkage: Shrinkage = { along: 0, across: 0 }
): Sized {
  const preCut = piece.shape === 'pre-cut' && piece.covers !== null;
  const margin = piece.overrides.margin ?? (preCut ? 0 : (rules.margins[piece.use] ?? MARGIN_MM[piece.use]));
  // A zip is as wide as its tape; only its ends reach further.
  const across = piece.use === 'zip-tape' ? 0 : margin;
  const lengthwise = covered.width >= covered.height;
  const parts: SizePart[] = [
    { what: 'covers', ...covered },
    {
      what: 'margin',
      width: (isOver(piece, 'width') ? 1 : 2) * (lengthwise ? margin : across),
      height: (isOver(piece, 'height') ? 1 : 2) * (lengthwise ? across : margin)
    },
    ...seamOf(piece, item),
    ...foldOf(piece, item, covered),
    ...(piece.turnedUnder ? [{ what: 'fold' as const, ...piece.turnedUnder }] : [])
  ];
  parts.push(...doubledOf(piece, sum(parts)), ...takenUpOf(piece, covered));
  const exact = sum(parts);
  const washed = {
    width: exact.width / (1 - shrinkage.across / 100),
    height: exact.height / (1 - shrinkage.along / 100)
  };
  const rounded = (mm: number): number => (preCut ? roundTo(mm, 3) : roundUpForCutting(mm, rules.rounding));
  const cut = { width: rounded(washed.width), height: rounded(washed.height) };
  const own = {
    width: piece.overrides.width ?? cut.width,
    height: piece.overrides.height ?? cut.height
  };
  parts.push(
    { what: 'shrinkage', width: washed.width - exact.width, height: washed.height - exact.height },
    { what: 'rounding', width: cut.width - washed.width, height: cut.height - washed.height },
    { what: 'own', width: own.width - cut.width, height: own.height - cut.height }
  );
  return {
    margin,
    exact,
    cut: own,
    parts: parts
      .map(({ what, width, height }) => ({ what, width: roundTo(width, 3), height: roundTo(height, 3) }))
      .filter(({ what, width, height }) => what === 'covers' || width !== 0 || height !== 0)
  };
}

/** Whether a piece is folded in half across its width or its height: at the fold it needs no margin. */
function isOver({ foldAt }: Piece, side: 'width' | 'height'): boolean {
  if (foldAt === undefined) return false;
  return (foldAt === 'left' || foldAt === 'right') === (side === 'width');
}

/** The half that lies underneath of what is folded in half. */
function doubledOf(piece: Piece, half: { width: number; height: number }): SizePart[] {
  if (piece.foldAt === undefined) return [];
  const [width, height] = [isOver(piece, 'width'), isOver(piece, 'height')];
  return [{ what: 'fold', width: width ? half.width : 0, height: height ? half.height : 0 }];
}

/** What gathers, pleats or rolling up take. */
function takenUpOf({ takenUp }: Piece, covered: { width: number; height: number }): SizePart[] {
  if (!takenUp) return [];
  const more = (side: 'width' | 'height'): number =>
    takenUp.along === side ? (takenUp.times - 1) * covered[side] : 0;
  return [{ what: 'taken-up', width: more('width'), height: more('height') }];
}

/** What reaches over the seam of a piece that is laid with an edge on a line and flipped. */
function seamOf(piece: Piece, item: Item): SizePart[] {
  for (const step of item.steps) {
    if (step.kind !== 'hand' || step.op.do !== 'lay' || step.op.pieceId !== piece.id || !step.op.edge)
      continue;
    const { body, allowance } = step.op.edge;
    const upright = body === 'up' || body === 'down';
    return [{ what: 'seam', width: upright ? 0 : allowance, height: upright ? allowance : 0 }];
  }
  return [];
}

/** What is turned under along one edge and pressed before the work begins: along the longer side, as strips are. */
function foldOf(piece: Piece, item: Item, covered: { width: number; height: number }): SizePart[] {
  for (const step of item.steps) {
    if (step.kind !== 'hand' || step.op.do !== 'press-folds') continue;
    const { pieceId, alsoIds, fold } = step.op;
    if (pieceId !== piece.id && !alsoIds?.includes(piece.id)) continue;
    const upright = covered.width >= covered.height;
    return [{ what: 'fold', width: upright ? 0 : fold, height: upright ? fold : 0 }];
  }
  return [];
}

function sum(parts: readonly SizePart[]): { width: number; height: number } {
  return {
    width: roundTo(
      parts.reduce((total, { width }) => total + width, 0),
      3
    ),
    height: roundTo(
      parts.reduce((total, { height }) => total + height, 0),
      3
    )
  };
}
