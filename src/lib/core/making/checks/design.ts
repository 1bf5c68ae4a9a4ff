import {
  contains,
  intersection,
  offsetPath,
  type Path,
  type Region,
  regionArea,
  regionOf
} from '$lib/core/base/geometry';
import { found } from '$lib/core/craft/findings';
import { type Layer, samplesOf, shareOn } from '$lib/core/craft/stack';
import { findPiece, type Role, variantOf } from '$lib/core/documents/item';
import { boxOf, type Check, type CheckContext, type Finding, isStabiliser, runsOf } from './finding';

/** What is stitched to be looked at. */
const DESIGNS: readonly Role[] = ['decoration', 'lettering'];
/** Lines that end an item. */
const ENDS: readonly Role[] = ['closing-seam', 'satin-edge'];
/** Share of a design that cloth may hide, or that may lie outside the item, before it is said. */
const HIDDEN = 0.3;
const OUTSIDE = 0.02;
/** What runs along the edge itself lies inside, mm. */
const BESIDE_MM = 1;
/** A line that reaches over so much of the item goes round it. */
const ROUND = 0.8;
/** Parts may touch by so much, mm². */
const TOUCH_MM2 = 10;

/** Designs that cloth laid later hides, that lie across the edge of the item, and parts that lie on each other. */
export const design: Check = (context) => [
  ...buried(context),
  ...offOutline(context),
  ...overlapping(context)
];

function buried(context: CheckContext): Finding[] {
  const end = context.trace.at(-1)?.state.layers ?? [];
  return runsOf(context).flatMap(({ role, stepId, called, paths, before, after }): Finding[] => {
    const on = after.state.seams.at(-1)?.upper;
    const at = end.findIndex(({ pieceId }) => pieceId === on?.pieceId);
    const own = end[at];
    const later = findPiece(context.item, own?.pieceId ?? '')?.seenLater === true;
    if (!DESIGNS.includes(role) || !own || later || on?.side !== 'right') return [];
    const over = (own.face === 'up' ? end.slice(at + 1) : end.slice(0, at)).filter(
      (layer) =>
        !isStabiliser(layer) &&
        layer.hangs === undefined &&
        !before.layers.some(({ pieceId }) => pieceId === layer.pieceId)
    );
    const hider = over.find((layer) => paths.some((path) => hiddenOf(path, layer) > HIDDEN));
    return hider ? [found('covered/later', stepId, { called, piece: hider.name }, hider.pieceId)] : [];
  });
}

/** Share of a design, by its area, that lies under a layer. */
function hiddenOf(path: Path, layer: Layer): number {
  if (!path.closed) return shareOn(layer, path);
  const region = regionOf(path);
  return meets(region, layer.outline) / Math.max(1, regionArea(region));
}

function offOutline(context: CheckContext): Finding[] {
  const runs = runsOf(context);
  return runs.flatMap(({ role, stepId, called, paths, lineIds }): Finding[] => {
    if (!DESIGNS.includes(role) || lineIds.length === 0) return [];
    const edge = runs.findLast(
      (run) =>
        ENDS.includes(run.role) &&
        goesRound(context, run.paths[0]) &&
        hoopingOf(context, run.stepId) === hoopingOf(context, stepId)
    )?.paths[0];
    if (!edge) return [];
    const inside = regionOf(offsetPath(edge, BESIDE_MM) ?? edge);
    const points = paths.flatMap(samplesOf);
    const out = points.filter((point) => !contains(inside, point)).length;
    // What lies outside altogether belongs to another part.
    if (out <= points.length * OUTSIDE || out === points.length) return [];
    return [found('covering/off-outline', stepId, { called })];
  });
}

/** Whether a line goes round the whole item, not a window or a piece in it. */
function goesRound({ item, plan }: CheckContext, path: Path | undefined): boolean {
  const size = variantOf(item, plan.variant.id)?.size;
  if (!path?.closed || !size) return false;
  const { width, height } = boxOf(path);
  return width >= ROUND * size.width && height >= ROUND * size.height;
}

function overlapping(context: CheckContext): Finding[] {
  const parts = runsOf(context)
    .filter(({ role }) => role === 'lace')
    .flatMap(({ stepId, lineIds, paths }) =>
      paths.flatMap((path, at) => {
        const lineId = lineIds[at];
        return path.closed && lineId !== undefined ? [{ stepId, lineId, region: regionOf(path) }] : [];
      })
    );
  const said = new Set<string>();
  return parts.flatMap((part, at): Finding[] =>
    parts.slice(0, at).flatMap((other): Finding[] => {
      const same =
        other.lineId === part.lineId || hoopingOf(context, other.stepId) !== hoopingOf(context, part.stepId);
      if (same || meets(part.region, other.region) <= TOUCH_MM2 || said.has(part.lineId)) return [];
      said.add(part.lineId);
      const nameOf = (id: string): string => context.item.lines.find((line) => line.id === id)?.name ?? id;
      return [
        found(
          'covering/overlap',
          part.stepId,
          { part: nameOf(part.lineId), other: nameOf(other.lineId) },
          part.lineId
        )
      ];
    })
  );
}

const hoopingOf = ({ item }: CheckContext, stepId: string): string | undefined =>
  item.steps.find(({ id }) => id === stepId)?.hoopingId;
const meets = (a: Region, b: Region): number => regionArea(intersection(a, b));
