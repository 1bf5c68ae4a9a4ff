import { pointAt, type Point } from '$lib/core/base/geometry';
import { found } from '$lib/core/craft/findings';
import { type Layer, liesAt, samplesOf } from '$lib/core/craft/stack';
import { findLine, findPiece, type Item, type Piece, type Role } from '$lib/core/documents/item';
import { boxOf, type Check, type CheckContext, type Finding, runsOf } from './finding';

/** A part that hangs is caught within so far of its side; a seam farther in holds the end that should come free, mm. */
const DEEP_MM = 15;
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
      const code = endCaught(run, layer, piece.hangs, context)
        ? 'caught/loose-end'
        : inOpening(run, layer, context.item)
          ? 'caught/in-opening'
          : null;
      if (code === null || said.has(code + piece.id)) return [];
      said.add(code + piece.id);
      return [found(code, run.stepId, { called: run.called, piece: piece.name }, piece.id)];
    });
  });
};

function endCaught(
  { paths, role, stepId }: Run,
  layer: Layer,
  side: NonNullable<Piece['hangs']>,
  context: CheckContext
): boolean {
  const on = paths.flatMap(samplesOf).filter((point) => liesAt(layer, point));
  if (on.length === 0) return false;
  const closing =
    role === 'closing-seam' || role === 'satin-edge' || role === 'tack-down'
      ? paths
      : (runsOf(context).find((run) => run.role === 'closing-seam' && run.stepId !== stepId)?.paths ?? []);
  const [path] = closing;
  if (!path) return false;
  const { minX, minY, maxX, maxY } = boxOf(path);
  const depth = ([x, y]: Point): number =>
    ({ top: y - minY, bottom: maxY - y, left: x - minX, right: maxX - x })[side];
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
