import { type Point, regionExtents } from '$lib/core/base/geometry';
import { found } from '$lib/core/craft/findings';
import type { Role } from '$lib/core/documents/item';
import { type Layer, liesAt, samplesOf } from '$lib/core/craft/stack';
import { type Check, type Finding, runsOf } from './finding';

/** What is stitched to be seen on a thing; lace and edges may hang over it on purpose. */
const DESIGNS: readonly Role[] = ['decoration', 'lettering'];

/** Designs that reach over the edge of a thing that was bought finished: its size cannot be cut to fit. */
export const offEdge: Check = (context) => {
  const things = new Set(context.item.pieces.flatMap(({ id, readyMade }) => (readyMade ? id : [])));
  if (things.size === 0) return [];
  return runsOf(context).flatMap(({ stepId, role, paths, before }): Finding[] => {
    if (!DESIGNS.includes(role)) return [];
    const own = before.layers.filter(({ pieceId }) => things.has(pieceId));
    const points = paths.flatMap(samplesOf);
    const off = points.filter((point) => !own.some((layer) => liesAt(layer, point)));
    // Where nothing of it lies on the thing, bare stabiliser is what is wrong.
    const [thing] = own;
    if (!thing || off.length === 0 || off.length === points.length) return [];
    const overMm = Math.max(...off.map((point) => Math.min(...own.map((layer) => beyond(layer, point)))));
    const values = { piece: thing.name, overMm, unit: context.plan.unit };
    return overMm < 1 ? [] : [found('covering/off-edge', stepId, values, thing.pieceId)];
  });
};

/** How far a point lies beyond the box round a layer, mm. */
function beyond({ outline }: Layer, [x, y]: Point): number {
  const box = regionExtents([outline]);
  return box ? Math.max(box.minX - x, x - box.maxX, box.minY - y, y - box.maxY, 0) : Infinity;
}
