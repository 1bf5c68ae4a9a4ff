import { found } from '$lib/core/craft/findings';
import { clothAlong, samplesOf } from '$lib/core/craft/stack';
import { type Check, type Finding, runsOf } from './finding';

/** Share of a path that may lie over nothing, as where two cuts meet. */
const MOST_OPEN = 0.08;

/** Stitches over a hole that nothing patches. */
export const holes: Check = (context) =>
  runsOf(context).flatMap(({ stepId, called, paths, before }): Finding[] => {
    const open = paths.some((path) => {
      const layers = before.layers.map((layer) => clothAlong(layer, path));
      const count = samplesOf(path).length;
      let bare = 0;
      for (let at = 0; at < count; at++) if (!layers.some((hits) => hits[at])) bare++;
      return bare > count * MOST_OPEN;
    });
    if (!open || before.layers.length === 0) return [];
    return [found('holes/open', stepId, { called })];
  });
