import { found } from '$lib/core/craft/findings';
import { type Extents, extents } from '$lib/core/base/geometry';
import { asTheDesignLies, type Hoop } from '$lib/core/documents/shop';
import { type Check, type CheckContext, type Finding, runsOf, type StopRun } from './finding';

/** Stops that reach outside the stitch field of the hoop; where a quarter turn mends it, that alone is said. */
export const field: Check = (context) => {
  const { item, plan } = context;
  const { field: own, name, turned = false } = plan.hoop;
  // A hoop that is moved on its mount brings other parts of itself into the field.
  const moves = item.steps.some((step) => step.kind === 'hand' && step.op.do === 'mount');
  const runs = runsOf(context);
  const out = runs.filter(({ paths, width }) =>
    paths.some((path) => {
      const box = extents(path);
      return moves
        ? box.width + width > own.width || box.height + width > own.height
        : !liesIn(own, box, width / 2);
    })
  );
  const [first] = out;
  if (!first) return [];
  const size = moves ? undefined : fitsTurned(runs, own);
  if (size)
    return [
      {
        ...found('field/turn', first.stepId, { ...size, hoop: name, unit: plan.unit, turned }),
        fix: {
          label: turned ? 'Turn it back' : 'Turn it a quarter',
          apply: (before) => before,
          setup: { turned: !turned }
        }
      }
    ];
  const fix = moves ? undefined : largerHoop(runs, context.hoops);
  return out.map(({ stepId, called }): Finding => ({
    ...found('field/outside', stepId, { called, hoop: name, ...own, unit: plan.unit }),
    ...(fix && { fix })
  }));
};

/** The smallest hoop of the shop whose field takes all stitching, as what mends it. */
function largerHoop(runs: readonly StopRun[], hoops: readonly Hoop[]): Finding['fix'] {
  const fits = [false, true].flatMap((turned) =>
    hoops
      .filter((hoop) => takesAll(runs, asTheDesignLies(hoop, turned).field))
      .map((hoop) => ({ hoop, turned, area: hoop.field.width * hoop.field.height }))
  );
  const [best] = fits.sort((a, b) => a.area - b.area);
  return (
    best && {
      label: `Take ${best.hoop.name}${best.turned ? ', turned a quarter' : ''}`,
      apply: (before) => before,
      setup: { hoopId: best.hoop.id, turned: best.turned }
    }
  );
}

/** Whether every stop lies in a field as it is. */
function takesAll(runs: readonly StopRun[], field: Hoop['field']): boolean {
  return runs.every(({ paths, width }) => paths.every((path) => liesIn(field, extents(path), width / 2)));
}

function liesIn(
  field: CheckContext['plan']['hoop']['field'],
  { minX, maxX, minY, maxY }: Pick<Extents, 'minX' | 'maxX' | 'minY' | 'maxY'>,
  edge: number
): boolean {
  const [halfW, halfH] = [field.width / 2 + 0.01, field.height / 2 + 0.01];
  return minX - edge >= -halfW && maxX + edge <= halfW && minY - edge >= -halfH && maxY + edge <= halfH;
}

/** The size of all stitching, where every stop lies in the field once the design is turned a quarter. */
function fitsTurned(
  runs: readonly StopRun[],
  field: CheckContext['plan']['hoop']['field']
): { width: number; height: number } | undefined {
  const boxes = runs.flatMap(({ paths, width }) =>
    paths.map((path) => ({ box: extents(path), edge: width / 2 }))
  );
  if (!takesAll(runs, { width: field.height, height: field.width })) return undefined;
  const most = (of: (box: Extents, edge: number) => number): number =>
    Math.max(...boxes.map(({ box, edge }) => of(box, edge)));
  return {
    width: most((box, edge) => box.maxX + edge) + most((box, edge) => edge - box.minX),
    height: most((box, edge) => box.maxY + edge) + most((box, edge) => edge - box.minY)
  };
}
