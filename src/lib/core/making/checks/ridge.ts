import { found } from '$lib/core/craft/findings';
import type { Path } from '$lib/core/base/geometry';
import { samplesOf } from '$lib/core/craft/stack';
import { type Check, distanceTo, EDGES, type Finding, runsAlong, runsOf, type StopRun } from './finding';

/** Two dense edges that lie on each other for longer than this make a ridge, mm; a crossing is shorter. */
const RIDGE_MM = 10;

/** A dense edge that runs on top of another for a while, as where two appliqué pieces meet. */
export const ridge: Check = (context) => {
  const hoopingOf = ({ at }: StopRun): string | undefined => context.item.steps[at]?.hoopingId;
  const edges = runsOf(context).filter(({ role, width }) => EDGES.includes(role) && width > 0);
  return edges.flatMap((run): Finding[] => {
    const under = edges.find(
      (lower) =>
        lower.at < run.at &&
        hoopingOf(lower) === hoopingOf(run) &&
        !isSameEdge(lower, run) &&
        longestOn(run, lower) > RIDGE_MM
    );
    return under ? [found('ridge/edges', run.stepId, { called: run.called, under: under.called })] : [];
  });
};

/** Passes of one edge lie on each other on purpose. */
function isSameEdge({ paths }: StopRun, other: StopRun): boolean {
  return paths.some((path) => other.paths.some((own) => runsAlong(path, own) && runsAlong(own, path)));
}

/** How far an edge runs on another without a break, mm: their middles are nearer than half of what both are wide together. */
function longestOn({ paths, width }: StopRun, lower: StopRun): number {
  const near = (width + lower.width) / 4;
  return Math.max(0, ...paths.map((path) => longestNear(path, lower.paths, near)));
}

function longestNear(path: Path, others: readonly Path[], near: number): number {
  let [longest, now] = [0, 0];
  const points = samplesOf(path);
  points.forEach(([x, y], at) => {
    const [beforeX, beforeY] = points[at - 1] ?? [x, y];
    const on = others.some((other) => distanceTo(other, [x, y], near) <= near);
    now = on ? now + Math.hypot(x - beforeX, y - beforeY) : 0;
    longest = Math.max(longest, now);
  });
  return longest;
}
