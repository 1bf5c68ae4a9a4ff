import { found } from '$lib/core/craft/findings';
import type { Extents } from '$lib/core/base/geometry';
import { type MaterialKind, type Role, stitchesOf, WASHES_OUT } from '$lib/core/documents/item';
import { type Layer, liesAt, shareOn } from '$lib/core/craft/stack';
import {
  besides,
  boxOf,
  type Check,
  type CheckContext,
  EDGES,
  type Finding,
  handed,
  isStabiliser,
  LACE,
  lineUnder,
  runsAlong,
  runsOf,
  type StopRun
} from './finding';

/** Stitches that one layer of tear-away carries in a square millimetre. */
const DENSE = 1.2;
/** Lace that film alone does not carry: larger than this either way, mm, or with more stitches in a square millimetre. */
const LARGE_LACE_MM = 100;
const DENSE_LACE = 1;
const STAYS: readonly MaterialKind[] = ['tear-away', 'cutaway'];
const STRETCHES: readonly MaterialKind[] = ['knit', 'stretch-mesh'];

/** Stabiliser that is missing, wrong for the finish, or too light. */
export const stabiliser: Check = (context) => [...carried(context), ...leftOver(context)];

function carried(context: CheckContext): Finding[] {
  const said = new Set<string>();
  return runsOf(context).flatMap((run): Finding[] => {
    const finding = judge(run, context);
    const hooping = context.item.steps[run.at]?.hoopingId ?? '';
    if (!finding || said.has(`${hooping} ${finding.text}`)) return [];
    said.add(`${hooping} ${finding.text}`);
    return [finding];
  });
}

function judge(run: StopRun, context: CheckContext): Finding | null {
  const { before, paths, role } = run;
  const under = before.layers.filter(
    (layer) =>
      isStabiliser(layer) &&
      // Topping on the work carries nothing.
      (layer.where !== 'above' || layer.material.kind === 'sticky-wash-away') &&
      (paths.length === 0 || paths.some((path) => shareOn(layer, path) > 0.3))
  );
  if (under.length === 0) return found('stabiliser/none', run.stepId, {});
  const lasting = under.find(({ material }) => !WASHES_OUT.includes(material.kind));
  const cloth = before.layers.filter(
    (layer) => !isStabiliser(layer) && paths.some((path) => shareOn(layer, path) > 0.5)
  );
  if (LACE.includes(role) || role === 'bars') {
    const stays = before.layers.find(
      ({ material, where }) => where === 'hooped' && STAYS.includes(material.kind)
    );
    if (stays) return found('stabiliser/stays', run.stepId, { layer: stays.name }, stays.pieceId);
    if (role !== 'bars' && plies(under) < 2 && cloth.length === 0)
      return found('stabiliser/light-lace', run.stepId, {});
    const film = cloth.length === 0 && role === 'lace' ? weakFilm(run, under) : undefined;
    if (film) return found('stabiliser/weak-film', run.stepId, { layer: film.name }, film.pieceId);
  }
  const edged = EDGES.includes(role) && role === 'satin-edge' ? rawUnder(run, context) : [];
  if (edged.length > 0 && plies(under) < 2) {
    if (lasting?.material.kind === 'tear-away') return found('stabiliser/tears-through', run.stepId, {});
    if (edged.length < 2 && !lasting) return found('stabiliser/light-edge', run.stepId, {});
  }
  const stretch = before.layers.find(
    ({ material, where }) => where === 'hooped' && STRETCHES.includes(material.kind)
  );
  if (stretch && under.every(({ material }) => material.kind === 'tear-away'))
    return found('stabiliser/stretch', run.stepId, { layer: stretch.name }, stretch.pieceId);
  return dense(run, context, under);
}

/** Film that alone carries lace which is dense or large: it gives way where the needle returns again and again. */
function weakFilm(run: StopRun, under: Layer[]): Layer | undefined {
  const [film] = under;
  if (!film || under.some(({ material }) => material.kind !== 'wash-away-film')) return undefined;
  const place = placeOf(run);
  if (!place) return undefined;
  const [wide, high] = [place.maxX - place.minX, place.maxY - place.minY];
  const stitches = run.stop ? stitchesOf(run.stop) : 0;
  return wide > LARGE_LACE_MM || high > LARGE_LACE_MM || stitches / (wide * high) > DENSE_LACE
    ? film
    : undefined;
}

/** All stops that lie on each other count: the hint comes at the one with which they are too many for a single layer. */
function dense(run: StopRun, context: CheckContext, under: Layer[]): Finding | null {
  const { stepId, stop, at } = run;
  if (!stop || !FILLS.includes(stop.role) || plies(under) > 1) return null;
  const { field } = context.plan.hoop;
  // Stitches known one by one tell their own density; else they are taken to fill a usual field.
  const usual = Math.min(field.width * field.height, 100 * 100);
  const known =
    context.plan.steps.find(({ itemStepId }) => itemStepId === stepId)?.stop?.geometry?.density ?? 0;
  const hooping = context.item.steps[at]?.hoopingId;
  const before = runsOf(context).filter(
    (other) =>
      other.at <= at && FILLS.includes(other.role) && context.item.steps[other.at]?.hoopingId === hooping
  );
  const own = placeOf(run);
  // A count that is known is judged on the ground it has; what is estimated says nothing of that.
  const counted = stop.countSource !== 'estimate' && stop.countSource !== 'none';
  const ground = own ? (own.maxX - own.minX) * (own.maxY - own.minY) : 0;
  if (counted && FILLED.includes(stop.role) && ground > 0 && stitchesOf(stop) / ground > DENSE)
    return found('stabiliser/dense', stepId, { stop: stop.number, stitches: stitchesOf(stop), stops: 1 });
  // Where all together are few, those that lie here are fewer.
  if (known <= DENSE && stitchesOfAll(before) / usual <= DENSE) return null;
  const there = before.filter((other) => other === run || own === null || liesOn(placeOf(other), own));
  const stitches = stitchesOfAll(there);
  if (known <= DENSE && stitches / usual <= DENSE) return null;
  return found('stabiliser/dense', stepId, { stop: stop.number, stitches, stops: there.length });
}

const stitchesOfAll = (runs: readonly StopRun[]): number =>
  runs.reduce((sum, { stop }) => sum + (stop ? stitchesOf(stop) : 0), 0);

/** Roles whose place is the ground they fill, not a line they follow. */
const FILLED: readonly Role[] = ['decoration', 'lettering'];
/** Roles that fill an area with stitches. */
const FILLS: readonly Role[] = ['decoration', 'lettering', 'applique-edge', 'satin-edge'];

type Place = Pick<Extents, 'minX' | 'maxX' | 'minY' | 'maxY'>;

/** The box round all that a stop stitches; null where its place is not known. */
function placeOf({ paths }: StopRun): Place | null {
  return paths.map(boxOf).reduce<Place | null>(
    (all, box) =>
      all
        ? {
            minX: Math.min(all.minX, box.minX),
            maxX: Math.max(all.maxX, box.maxX),
            minY: Math.min(all.minY, box.minY),
            maxY: Math.max(all.maxY, box.maxY)
          }
        : box,
    null
  );
}

/** Whether two places share any ground. */
function liesOn(one: Place | null, other: Place): boolean {
  return (
    one === null ||
    (one.minX < other.maxX && one.maxX > other.minX && one.minY < other.maxY && one.maxY > other.minY)
  );
}

const plies = (layers: Layer[]): number => layers.reduce((sum, layer) => sum + layer.plies, 0);

/** Laid pieces whose own edge a stop runs along. */
function rawUnder({ paths, before }: StopRun, { item }: CheckContext): Layer[] {
  return before.layers.filter((layer) => {
    const line = layer.where === 'hooped' || isStabiliser(layer) ? undefined : lineUnder(item, layer.pieceId);
    return line !== undefined && paths.some((path) => runsAlong(path, line));
  });
}

/** Stabiliser that is still there outside a finished edge, or in lace. */
function leftOver(context: CheckContext): Finding[] {
  const last = context.trace.at(-1)?.state;
  if (!last || last.hoop.where !== 'unhooped') return [];
  for (const run of runsOf(context)) {
    const lace = run.role === 'lace';
    if (!lace && (run.role !== 'satin-edge' || rawUnder(run, context).length === 0)) continue;
    const points = run.paths.flatMap((path) => besides(path, lace ? 1 : run.width / 2 + 2)).flat();
    const left = last.layers.find(
      (layer) =>
        isStabiliser(layer) &&
        points.filter(
          (point) =>
            liesAt(layer, point) && !last.layers.some((other) => !isStabiliser(other) && liesAt(other, point))
        ).length >
          points.length * 0.25
    );
    if (!left) continue;
    const hooped = handed(context, 'hoop').find(({ op }) => op.pieceIds.includes(left.pieceId));
    return [
      found(
        'stabiliser/left',
        hooped?.step.id ?? null,
        { layer: left.name, material: left.material.name.toLowerCase() },
        left.pieceId
      )
    ];
  }
  return [];
}
