import { found } from '$lib/core/craft/findings';
import { type Check, type Finding, runsOf } from './finding';

const cutting = (needle: string | null): boolean => needle !== null && /cut|chisel/i.test(needle);

/** Cutting needles where stitches belong, and the other way round. */
export const needle: Check = (context) => {
  let lastCut: string | null = null;
  return runsOf(context).flatMap(({ role, stepId, called, before }): Finding[] => {
    if (role !== 'needle-cut')
      return cutting(before.needle) ? [found('needle/cutting', stepId, { called })] : [];
    if (!cutting(before.needle)) return [found('needle/stitching', stepId, { called })];
    const again = lastCut === before.needle;
    lastCut = before.needle;
    return again ? [found('needle/same-chisel', stepId, { called })] : [];
  });
};
