import { found } from '$lib/core/craft/findings';
import { liesAt } from '$lib/core/craft/stack';
import { besides, type Check, EDGES, type Finding, isStabiliser, runsOf } from './finding';

const MOST_BARE = 0.15;

/** Stabiliser cut out where a satin edge still has to be carried, as in a slot. */
export const slot: Check = (context) =>
  runsOf(context).flatMap(({ stepId, called, role, paths, width, before }): Finding[] => {
    const carriers = before.layers.filter(isStabiliser);
    if (!EDGES.includes(role) || carriers.length === 0) return [];
    const bare = paths.some((path) => {
      const both = besides(path, width / 2).flat();
      return (
        both.filter((point) => !carriers.some((layer) => liesAt(layer, point))).length >
        both.length * MOST_BARE
      );
    });
    if (!bare) return [];
    return [found('slot/no-stabiliser', stepId, { called })];
  });
