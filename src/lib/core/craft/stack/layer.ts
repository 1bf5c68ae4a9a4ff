import {
  extents,
  offsetPath,
  type Path,
  type Point,
  rectangleRegion,
  type Region,
  regionOf
} from '$lib/core/base/geometry';
import { type EdgeOnLine, findLine, findPiece, type Item, type Piece } from '$lib/core/documents/item';
import type { Layer } from './state';

/** Cut sizes of the pieces, mm, by piece. */
export type CutSizes = ReadonlyMap<string, CutSize>;

interface CutSize {
  width: number;
  height: number;
  /** Where its middle lies from the middle of the design, mm. */
  offset?: { x: number; y: number } | undefined;
}

/** The sizes of a cut list, by piece. */
export function cutSizes(
  cuts: readonly {
    pieceId: string;
    cut: { width: number; height: number };
    offset?: { x: number; y: number } | undefined;
  }[]
): CutSizes {
  return new Map(cuts.map(({ pieceId, cut, offset }) => [pieceId, { ...cut, offset }]));
}

/** Where a piece is put down. */
export interface Placing {
  covers?: string | undefined;
  edge?: EdgeOnLine | undefined;
}

/**
 * A piece as it lies freshly in the hoop: a pre-cut shape as its line, anything else a rectangle of its cut size
 * about the line it covers, or with an edge along a line.
 *
 * @returns undefined when the item has no such piece or nobody knows its size
 */
export function freshLayer(
  pieceId: string,
  item: Item,
  cuts: CutSizes,
  placing: Placing,
  where: Layer['where'],
  face: Layer['face']
): Layer | undefined {
  const piece = findPiece(item, pieceId);
  const size = cuts.get(pieceId);
  if (!piece || !size) return undefined;
  return {
    pieceId,
    name: piece.name,
    material: piece.material,
    plies: piece.plies * (piece.folded ? 2 : 1),
    folded: piece.folded,
    outline: shapeOf(pieceId, item, { ...asLaid(piece, size, item), ...piece.foldedTo }, placing),
    allowance: [],
    face,
    where,
    holds: where === 'hooped' ? ['hooped'] : [],
    strips: 0,
    pins: null,
    zip: piece.material.kind === 'zip' || piece.material.kind === 'metal-zip' ? 'closed' : null,
    folds: []
  };
}

/** The size of a piece as it lies: folded in half its fold lies on the edge of what it covers, gathered it is drawn in. */
function asLaid(piece: Piece, { width, height, offset }: CutSize, item: Item): CutSize {
  const { foldAt, takenUp, turnedUnder, covers } = piece;
  const line = covers === null ? undefined : findLine(item, covers);
  const covered = line ? extents(line.path) : { width, height };
  const taken = (side: 'width' | 'height'): number =>
    (takenUp?.along === side ? (takenUp.times - 1) * covered[side] : 0) + (turnedUnder?.[side] ?? 0);
  const laid = { width: width - taken('width'), height: height - taken('height') };
  if (foldAt === undefined) return { ...laid, offset };
  const upright = foldAt === 'top' || foldAt === 'bottom';
  const half = upright ? { ...laid, height: laid.height / 2 } : { ...laid, width: laid.width / 2 };
  const beyond = upright ? (half.height - covered.height) / 2 : (half.width - covered.width) / 2;
  const away = foldAt === 'top' || foldAt === 'left' ? beyond : -beyond;
  return { ...half, offset: upright ? { x: 0, y: away } : { x: away, y: 0 } };
}

function shapeOf(pieceId: string, item: Item, size: CutSize, { covers, edge }: Placing): Region {
  const piece = findPiece(item, pieceId);
  const line = covers ?? piece?.covers ?? undefined;
  const path = line === undefined ? undefined : findLine(item, line)?.path;
  if (piece?.shape === 'pre-cut' && path?.closed) {
    const { width } = extents(path);
    // A shape cut larger or smaller than its line is that much larger or smaller all round.
    const shape = offsetPath(path, (size.width - width) / 2);
    if (shape) return regionOf(shape);
  }
  const along = edge && findLine(item, edge.lineId)?.path;
  const [x, y] = edge && along ? besideLine(along, edge, size) : middleOf(path);
  const { x: dx, y: dy } = size.offset ?? { x: 0, y: 0 };
  return rectangleRegion([x + dx, y + dy], size.width, size.height);
}

/** The middle of a rectangle whose edge reaches over a line by its allowance. */
function besideLine(
  path: Path,
  { body, allowance }: EdgeOnLine,
  size: { width: number; height: number }
): Point {
  const { minX, maxX, minY, maxY } = extents(path);
  const [x, y] = [(minX + maxX) / 2, (minY + maxY) / 2];
  switch (body) {
    case 'up':
      return [x, minY + allowance - size.height / 2];
    case 'down':
      return [x, maxY - allowance + size.height / 2];
    case 'left':
      return [minX + allowance - size.width / 2, y];
    case 'right':
      return [maxX - allowance + size.width / 2, y];
  }
}

/** The middle of a line, or of the field. */
export function middleOf(path: Path | undefined): Point {
  if (!path) return [0, 0];
  const { minX, maxX, minY, maxY } = extents(path);
  return [(minX + maxX) / 2, (minY + maxY) / 2];
}
