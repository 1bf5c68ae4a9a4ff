import type { MaterialKind } from '$lib/core/documents/item';
import { type Layer, liesAt, shareOn } from '$lib/core/making/stack';
import {
  besides,
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
  type StopRun,
  WASHES_OUT
} from './finding';

/** Stitches that one layer of tear-away carries in a square millimetre. */
const DENSE = 1.2;
const STAYS: readonly MaterialKind[] = ['tear-away', 'cutaway'];
const STRETCHES: readonly MaterialKind[] = ['knit', 'stretch-mesh'];

/** Stabiliser that is missing, wrong for the finish, or too light. */
export const stabiliser: Check = (context) => [...carried(context), ...leftOver(context)];

function carried(context: CheckContext): Finding[] {
  const said = new Set<string>();
  return runsOf(context).flatMap((run): Finding[] => {
    const found = judge(run, context);
    const hooping = context.item.steps[run.at]?.hoopingId ?? '';
    if (!found || said.has(`${hooping} ${found.text}`)) return [];
    said.add(`${hooping} ${found.text}`);
    return [{ checkId: 'stabiliser', stepId: run.stepId, ...found }];
  });
}

type Judged = Pick<Finding, 'severity' | 'text' | 'advice'>;

function judge(run: StopRun, context: CheckContext): Judged | null {
  const { before, paths, role } = run;
  const under = before.layers.filter(
    (layer) =>
      isStabiliser(layer) &&
      // Topping on the work carries nothing.
      (layer.where !== 'above' || layer.material.kind === 'sticky-wash-away') &&
      (paths.length === 0 || paths.some((path) => shareOn(layer, path) > 0.3))
  );
  if (under.length === 0)
    return {
      severity: 'stop',
      text: 'No stabiliser is in the ring under these stitches.',
      advice: 'Hoop stabiliser, caught by the ring on all four edges.'
    };
  const lasting = under.find(({ material }) => !WASHES_OUT.includes(material.kind));
  const cloth = before.layers.filter(
    (layer) => !isStabiliser(layer) && paths.some((path) => shareOn(layer, path) > 0.5)
  );
  if (LACE.includes(role) || role === 'bars') {
    const stays = before.layers.find(
      ({ material, where }) => where === 'hooped' && STAYS.includes(material.kind)
    );
    if (stays)
      return {
        severity: 'stop',
        text: `${stays.name} stays in open work: lace and cutwork need a stabiliser that washes out.`,
        advice: 'Hoop wash-away instead.'
      };
    if (role !== 'bars' && plies(under) < 2 && cloth.length === 0)
      return {
        severity: 'warn',
        text: 'One layer of wash-away is too light for lace.',
        advice: 'Hoop two layers, three for dense lace.'
      };
  }
  const edged = EDGES.includes(role) && role === 'satin-edge' ? rawUnder(run, context) : [];
  if (edged.length > 0 && plies(under) < 2) {
    if (lasting?.material.kind === 'tear-away')
      return {
        severity: 'warn',
        text: 'One layer of tear-away tears through under a satin edge.',
        advice: 'Hoop two layers.'
      };
    if (edged.length < 2 && !lasting)
      return {
        severity: 'warn',
        text: 'One layer of wash-away is too light for a satin edge on a single piece.',
        advice: 'Hoop two layers, or one heavy film.'
      };
  }
  const stretch = before.layers.find(
    ({ material, where }) => where === 'hooped' && STRETCHES.includes(material.kind)
  );
  if (stretch && under.every(({ material }) => material.kind === 'tear-away'))
    return {
      severity: 'warn',
      text: `${stretch.name} stretches, and tear-away does not hold it.`,
      advice: 'Hoop cutaway or soft mesh instead.'
    };
  return dense(run, context, under);
}

function dense({ stepId, stop }: StopRun, { plan }: CheckContext, under: Layer[]): Judged | null {
  const { field } = plan.hoop;
  const planned = plan.steps.find(({ itemStepId }) => itemStepId === stepId)?.stop;
  const stitches = planned?.stitches ?? 0;
  const area = Math.min(field.width * field.height, 100 * 100);
  if (
    !stop ||
    stop.role !== 'decoration' ||
    (planned?.geometry?.density ?? stitches / area) <= DENSE ||
    plies(under) > 1
  )
    return null;
  return {
    severity: 'note',
    text: `Stop ${stop.number ?? '?'} is dense: ${stitches.toLocaleString('en')} stitches.`,
    advice: 'Float another layer of stabiliser under the hoop.'
  };
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
      {
        checkId: 'stabiliser',
        severity: 'warn',
        stepId: hooped?.step.id ?? null,
        text: `${left.name} (${left.material.name.toLowerCase()}) is still there at the edge in the end.`,
        advice: 'Use a stabiliser that tears or washes off, and add the step that takes it off.'
      }
    ];
  }
  return [];
}
