import { type ChartRow, type Role, stitchKind } from '$lib/core/documents/item';
import { MEAN_LENGTH_MM, TAKE_UP_MM } from '$lib/core/stitching/thread';

/** What a chart’s thread length stands for: thread used, take-up and all, or the bare path of the needle. */
export type ThreadMeaning = 'used' | 'path';

export interface MeaningGuess {
  meaning: ThreadMeaning;
  sure: boolean;
  /** Charted length for each stitch of the rows that tell, mm; null where none does. */
  mmPerStitch: number | null;
}

/**
 * Tells what the thread lengths of a chart mean by their millimetres for each stitch, the rows weighed by their
 * stitches. Satin says nothing: its stitches are as long as it is wide.
 *
 * @param rows charted rows with the roles they have
 * @returns the likelier meaning; not sure where too little tells, or where the figure lies between both
 *
 * @example
 * threadMeaning([{ role: 'placement', stitches: 120, threadMetres: 0.6 }])
 * // { meaning: 'used', sure: true, mmPerStitch: 5 }
 */
export function threadMeaning(
  rows: readonly (Pick<ChartRow, 'stitches' | 'threadMetres'> & { role: Role })[]
): MeaningGuess {
  let [used, path, mm, stitches] = [0, 0, 0, 0];
  for (const row of rows) {
    const kind = stitchKind(row.role);
    if (kind === 'satin' || !row.stitches || !row.threadMetres) continue;
    const per = (row.threadMetres * 1000) / row.stitches;
    // How many times too long or too short the figure would be, on a logarithmic scale.
    used += row.stitches * Math.abs(Math.log(per / (MEAN_LENGTH_MM[kind] + TAKE_UP_MM)));
    path += row.stitches * Math.abs(Math.log(per / MEAN_LENGTH_MM[kind]));
    mm += row.threadMetres * 1000;
    stitches += row.stitches;
  }
  if (stitches === 0) return { meaning: 'used', sure: false, mmPerStitch: null };
  const [less, more] = used <= path ? [used, path] : [path, used];
  // Sure where the likelier meaning is clearly nearer and within a third of what it should be.
  const sure = stitches >= 50 && less / stitches < Math.log(1.35) && more - less > 0.25 * stitches;
  return { meaning: used <= path ? 'used' : 'path', sure, mmPerStitch: mm / stitches };
}
