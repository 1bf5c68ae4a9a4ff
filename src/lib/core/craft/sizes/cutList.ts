import { extents } from '$lib/core/base/geometry';
import { findLine, type Item, type Piece } from '$lib/core/documents/item';
import { CutPiece } from '$lib/core/documents/plan';
import type { Hoop } from '$lib/core/documents/shop';
import { sewnUpSize } from './sewnUp';
import { type Shrinkage, sizeOf, type SizingRules } from './sizing';

/**
 * What to cut for an item, with a reason for every millimetre. Hooped material follows the outer size of the ring; what is
 * fused to a piece before it is used stands behind it.
 *
 * @param rules the maker’s ruler and margins
 * @param copies how many of the item are made
 * @param shrinkageOf what a wash takes off the cloth of a piece, where it is not washed yet
 * @returns one line a piece, in the item’s order; a piece that covers a line the item lacks is left out
 *
 * @example
 * cutList(tab, hoop, { rounding: '5mm', margins: {} }, 1)[1]?.cut // { width: 55, height: 120 } for the front of a 30 × 94 mm tab
 */
export function cutList(
  item: Item,
  hoop: Pick<Hoop, 'ring'>,
  rules: SizingRules,
  copies: number,
  shrinkageOf?: (piece: Piece) => Shrinkage | undefined
): CutPiece[] {
  return item.pieces.flatMap((piece) => {
    if (piece.readyMade)
      return [readyMade(piece, piece.readyMade, copies), ...meshOf(piece, item, hoop, rules, copies)];
    const covered = coveredBy(piece, item, hoop);
    if (!covered) return [];
    const shrinkage = shrinkageOf?.(piece);
    const { margin, exact, cut, parts, offset } = piece.sewnUp
      ? sewnUpSize(piece.sewnUp, hoop.ring, piece, rules, shrinkage)
      : sizeOf(piece, item, covered.size, rules, shrinkage);
    const own: CutPiece = {
      pieceId: piece.id,
      name: piece.name,
      material: piece.material,
      count: piece.plies * copies,
      covers: piece.sewnUp ? { width: piece.sewnUp.width, height: piece.sewnUp.height } : covered.size,
      coversName: piece.sewnUp ? 'Sewn up' : covered.name,
      margin,
      exact,
      cut,
      parts,
      grain: piece.grain,
      overridden: Object.keys(piece.overrides).length > 0,
      cutFrom: item.pieces.find(({ id }) => id === piece.from)?.name ?? null,
      ...(offset && { offset })
    };
    return [own, ...backingOf(piece, own)];
  });
}

/** A thing that is bought finished has its own size, and the design its place on it. */
function readyMade(
  { id, name, material, grain }: Piece,
  { width, height, right, towards }: NonNullable<Piece['readyMade']>,
  copies: number
): CutPiece {
  const size = { width, height };
  return {
    pieceId: id,
    name,
    material,
    count: copies,
    covers: size,
    coversName: 'Ready-made',
    margin: 0,
    exact: size,
    cut: size,
    parts: [{ what: 'own', ...size }],
    grain,
    overridden: false,
    cutFrom: null,
    readyMade: true,
    ...((right !== 0 || towards !== 0) && { offset: { x: -right, y: -towards } })
  };
}

/** Mesh fused to a ready-made thing is as large as the design, not as the thing. */
function meshOf(
  piece: Piece,
  item: Item,
  hoop: Pick<Hoop, 'ring'>,
  rules: SizingRules,
  copies: number
): CutPiece[] {
  if (!piece.backed || !piece.readyMade) return [];
  return cutList({ ...item, pieces: [{ ...piece, readyMade: undefined }] }, hoop, rules, copies).filter(
    ({ backs }) => backs !== undefined
  );
}

/** What is fused to a piece before it is used, cut alike. */
function backingOf({ backed = [] }: Piece, own: CutPiece): CutPiece[] {
  return backed.map((material, at) => ({
    ...own,
    pieceId: `${own.pieceId}/back-${at + 1}`,
    name: `${own.name}, ${material.name.toLowerCase()}`,
    material,
    backs: own.pieceId
  }));
}

function coveredBy(
  piece: Piece,
  item: Item,
  hoop: Pick<Hoop, 'ring'>
): { name: string; size: { width: number; height: number } } | undefined {
  if (piece.covers === null) return { name: 'Ring, outer size', size: hoop.ring };
  const line = findLine(item, piece.covers);
  if (!line) return undefined;
  const { width, height } = extents(line.path);
  return { name: line.name, size: { width, height } };
}
