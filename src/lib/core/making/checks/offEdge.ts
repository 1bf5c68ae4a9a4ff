import { type Point, regionExtents } from '$lib/core/base/geometry';
import { found } from '$lib/core/craft/findings';
import { findPiece, type Piece, type Role } from '$lib/core/documents/item';
import { type Layer, liesAt, samplesOf } from '$lib/core/craft/stack';
import { type Check, type CheckContext, type Finding, runsOf, type StopRun } from './finding';

/** What is stitched to be seen on a thing; lace and edges may hang over it on purpose. */
const DESIGNS: readonly Role[] = ['decoration', 'lettering'];
/** A seam would go through these as well. */
const EDGES: readonly Role[] = ['applique-edge', 'satin-edge'];
/** A design that comes so near to a line may still be said to keep off it, mm. */
const LEAST_MM = 1;

/** Designs that reach over the edge of a thing that was bought finished, or on to its hem: its size cannot be cut to fit. */
export const offEdge: Check = (context) => {
  const things = new Set(context.item.pieces.flatMap(({ id, readyMade }) => (readyMade ? id : [])));
  const sewn = context.item.pieces.filter(({ sewnUp }) => sewnUp !== undefined);
  if (things.size === 0) return sewn.flatMap((piece) => overSeams(context, piece));
  return runsOf(context).flatMap((run): Finding[] => {
    if (!DESIGNS.includes(run.role)) return [];
    const own = run.before.layers.filter(({ pieceId }) => things.has(pieceId));
    const points = run.paths.flatMap(samplesOf);
    const off = points.filter((point) => !own.some((layer) => liesAt(layer, point)));
    // Where nothing of it lies on the thing, bare stabiliser is what is wrong.
    const [thing] = own;
    if (!thing || off.length === points.length) return [];
    const overMm = Math.max(0, ...off.map((point) => Math.min(...own.map((layer) => beyond(layer, point)))));
    if (overMm < LEAST_MM) return onHem(context, run, own, points);
    const values = { piece: thing.name, overMm, unit: context.plan.unit };
    return [found('covering/off-edge', run.stepId, values, thing.pieceId)];
  });
};

/** A design that is larger than what its cloth is sewn up to, the design in the middle. */
function overSeams(context: CheckContext, { id, name, sewnUp }: Piece): Finding[] {
  if (!sewnUp) return [];
  const over = ([x, y]: Point): number =>
    Math.max(Math.abs(x) - sewnUp.width / 2, Math.abs(y) - sewnUp.height / 2);
  const reaching = runsOf(context)
    .filter(({ role }) => DESIGNS.includes(role) || EDGES.includes(role))
    .map(({ stepId, paths, width }) => ({
      stepId,
      overMm: Math.max(...paths.flatMap(samplesOf).map(over), -Infinity) + width / 2
    }))
    .sort((a, b) => b.overMm - a.overMm);
  const [farthest] = reaching;
  if (!farthest || farthest.overMm < LEAST_MM) return [];
  const values = { piece: name, overMm: farthest.overMm, unit: context.plan.unit };
  return [found('covering/off-edge', farthest.stepId, values, id)];
}

/** How far a design reaches on to the hem of the thing it lies on. */
function onHem(
  { item, plan: { unit } }: CheckContext,
  { stepId }: StopRun,
  own: readonly Layer[],
  points: readonly Point[]
): Finding[] {
  const reached = own.map((layer) => {
    const hem = findPiece(item, layer.pieceId)?.readyMade?.hem ?? 0;
    const on = points.filter((point) => liesAt(layer, point));
    return { layer, overMm: Math.max(0, ...on.map((point) => hem - within(layer, point))) };
  });
  return reached
    .filter(({ overMm }) => overMm >= LEAST_MM)
    .map(({ layer, overMm }) =>
      found('covering/on-hem', stepId, { piece: layer.name, overMm, unit }, layer.pieceId)
    );
}

/** How far a point lies beyond the box round a layer, mm. */
const beyond = (layer: Layer, point: Point): number => Math.max(0, -within(layer, point));

/** How far a point lies inside the box round a layer, mm; less than 0 where it lies outside. */
function within({ outline }: Layer, [x, y]: Point): number {
  const box = regionExtents([outline]);
  return box ? Math.min(x - box.minX, box.maxX - x, y - box.minY, box.maxY - y) : -Infinity;
}
