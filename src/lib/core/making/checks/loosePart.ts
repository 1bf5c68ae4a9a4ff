import { pointAt, type Point, regionExtents } from '$lib/core/base/geometry';
import { found } from '$lib/core/craft/findings';
import { OPPOSITE } from '$lib/core/craft/sequence';
import { type Layer, liesAt, samplesOf } from '$lib/core/craft/stack';
import { findLine, findPiece, type Item, type Piece, type Role } from '$lib/core/documents/item';
import { type Check, type Finding, runsOf } from './finding';

/** A part that hangs is caught within so far of its end; a seam farther in holds what should come free, mm. */
const DEEP_MM = 30;
/** Gaps are looked at every so far, mm. */
const STEP_MM = 2;
/** So much of an end in a gap is not caught, mm. */
const LEAST_IN_GAP_MM = 6;
const SHOWS: readonly Role[] = ['placement', 'centre-mark', 'closure-mark'];

type Run = ReturnType<typeof runsOf>[number];

/** Straps, ties and ruffles whose loose end a seam would catch, or whose own end lies in an opening. */
export const loosePart: Check = (context) => {
  const said = new Set<string>();
  return runsOf(context).flatMap((run): Finding[] => {
    if (SHOWS.includes(run.role)) return [];
    return run.before.layers.flatMap((layer): Finding[] => {
      const piece = findPiece(context.item, layer.pieceId);
      if (!piece?.hangs || layer.hangs) return [];
      const code = endCaught(run, layer, piece.hangs)
        ? 'caught/loose-end'
        : !layer.holds.includes('stitched') && inOpening(run, layer, context.item)
          ? 'caught/in-opening'
          : null;
      if (code === null || said.has(code + piece.id)) return [];
      said.add(code + piece.id);
      return [found(code, run.stepId, { called: run.called, piece: piece.name }, piece.id)];
    });
  });
};

function endCaught({ paths }: Run, layer: Layer, side: NonNullable<Piece['hangs']>): boolean {
  const on = paths.flatMap(samplesOf).filter((point) => liesAt(layer, point));
  const own = regionExtents([layer.outline]);
  if (on.length === 0 || !own) return false;
  // Laid inwards it is caught at the end that lies outside, laid outwards at the other.
  const from = layer.where === 'above' ? side : OPPOSITE[side];
  const depth = ([x, y]: Point): number =>
    ({ top: y - own.minY, bottom: own.maxY - y, left: x - own.minX, right: own.maxX - x })[from];
  return on.some((point) => depth(point) > DEEP_MM);
}

function inOpening({ role, lineIds }: Run, layer: Layer, item: Item): boolean {
  if (role !== 'closing-seam') return false;
  return lineIds
    .flatMap((id) => findLine(item, id) ?? [])
    .some(({ path, gaps }) =>
      gaps.some(({ from, to }) => {
        let inside = 0;
        for (let along = from; along <= to; along += STEP_MM)
          if (liesAt(layer, pointAt(path, along))) inside += STEP_MM;
        return inside >= LEAST_IN_GAP_MM;
      })
    );
}
