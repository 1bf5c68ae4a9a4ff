import { type Check, type Finding, runsOf } from './finding';

const cutting = (needle: string | null): boolean => needle !== null && /cut|chisel/i.test(needle);

/** Cutting needles where stitches belong, and the other way round. */
export const needle: Check = (context) => {
  let lastCut: string | null = null;
  return runsOf(context).flatMap(({ role, stepId, called, before }): Finding[] => {
    const found = (text: string, advice: string): Finding[] => [
      { checkId: 'needle', severity: 'stop', stepId, text, advice }
    ];
    if (role !== 'needle-cut')
      return cutting(before.needle)
        ? found(`${called} stitches with a cutting needle in.`, 'Put a stitching needle back in first.')
        : [];
    if (!cutting(before.needle))
      return found(`${called} cuts, but no cutting needle is in.`, 'Change to its chisel first.');
    const again = lastCut === before.needle;
    lastCut = before.needle;
    return again
      ? found(
          `${called} cuts with the chisel of the cut before it.`,
          'Each angle has its own chisel: change it first.'
        )
      : [];
  });
};
