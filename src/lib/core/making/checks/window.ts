import { found } from '$lib/core/craft/findings';
import { shareOn } from '$lib/core/craft/stack';
import { type Check, type Finding, isStabiliser, runsOf } from './finding';

/** Bars that are stitched on cloth nobody has cut yet. */
export const uncutWindow: Check = (context) =>
  runsOf(context).flatMap(({ role, stepId, called, paths, before }): Finding[] => {
    if (role !== 'bars') return [];
    // Where needles have cut, the cloth is open although no scissors touched it.
    if (before.seams.some((seam) => seam.role === 'needle-cut')) return [];
    const cloth = before.layers.find(
      (layer) => !isStabiliser(layer) && paths.some((path) => shareOn(layer, path) > 0.5)
    );
    if (!cloth) return [];
    return [found('window/uncut', stepId, { called, cloth: cloth.name })];
  });
