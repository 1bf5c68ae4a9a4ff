import { found } from '$lib/core/craft/findings';
import { strokesOf } from '$lib/core/craft/sequence';
import { findLine } from '$lib/core/documents/item';
import type { Path } from '$lib/core/base/geometry';
import { samplesOf } from '$lib/core/craft/stack';
import { type Check, distanceTo, EDGES, type Finding, runsAlong, runsOf, type StopRun } from './finding';

/** Two dense edges that lie on each other for longer than this make a ridge, mm; a crossing is shorter. */
const RIDGE_MM = 10;

interface Edge {
  run: StopRun;
  path: Path;
}

/** A dense edge that runs on top of another for a while, as where two appliqué pieces meet; one stop may stitch both. */
export const ridge: Check = (context) => {
  const hoopingOf = ({ at }: StopRun): string | undefined => context.item.steps[at]?.hoopingId;
  const runs = runsOf(context).filter(({ role, width }) => EDGES.includes(role) && width > 0);
  const edges = runs.flatMap((run) =>
    run.paths.flatMap((path, at) => {
      // What is left out under a later piece is not stitched.
      const gaps = findLine(context.item, run.lineIds[at] ?? '')?.gaps ?? [];
      return strokesOf({ path, gaps }).map((stroke): Edge => ({ run, path: stroke }));
    })
  );
  return runs.flatMap((run): Finding[] => {
    const own = edges.filter((edge) => edge.run === run);
    const under = own.flatMap((edge) =>
      edges
        .slice(0, edges.indexOf(edge))
        .filter((lower) => hoopingOf(lower.run) === hoopingOf(run) && liesOn(edge, lower))
    )[0]?.run;
    if (!under) return [];
    return [
      found('ridge/edges', run.stepId, { called: run.called, under: under === run ? null : under.called })
    ];
  });
};

/** Whether an edge runs on another without a break for long; passes of one edge lie on each other on purpose. */
function liesOn({ run, path }: Edge, lower: Edge): boolean {
  if (runsAlong(path, lower.path) && runsAlong(lower.path, path)) return false;
  // Their middles are nearer than half of what both are wide together.
  return longestNear(path, lower.path, (run.width + lower.run.width) / 4) > RIDGE_MM;
}

function longestNear(path: Path, other: Path, near: number): number {
  let [longest, now] = [0, 0];
  const points = samplesOf(path);
  points.forEach(([x, y], at) => {
    const [beforeX, beforeY] = points[at - 1] ?? [x, y];
    const on = distanceTo(other, [x, y], near) <= near;
    now = on ? now + Math.hypot(x - beforeX, y - beforeY) : 0;
    longest = Math.max(longest, now);
  });
  return longest;
}
