import { formatLength, formatSize, type LengthUnit, numberWord } from '$lib/core/base/units';
import type { Column, Strip } from '$lib/core/documents/cutJob';
import type { MaterialKind } from '$lib/core/documents/item';
import { frameOf } from '$lib/core/solvers/strips';
import type { PlannedCloth } from './result';

/** One step at the cutting mat. */
export interface CutStep {
  number: number;
  words: string;
  /** The strip it cuts; null for what comes before the first cut. */
  strip: number | null;
}

/** A length this wide is folded so that the ruler reaches right across. */
const FOLD_FROM_MM = 600;
/** Materials that are woven or knitted with a selvedge. */
const SELVEDGED: readonly MaterialKind[] = ['woven', 'canvas', 'knit', 'fleece', 'towelling', 'stretch-mesh'];

/**
 * The cuts of a cloth in words, in the order they are made.
 *
 * @param nameOf what the sheet calls a piece
 *
 * @example
 * sequenceOf(cloth, nameOf, 'in')[1]?.words
 * // 'Cut a strip 9 in. From it: two at 10 in for BACK; three at 4 in, each turned and cut into two of 4 in for FOUR.'
 */
export function sequenceOf(
  { cloth, strips, along, kind }: PlannedCloth,
  nameOf: (key: string) => string,
  unit: LengthUnit
): CutStep[] {
  const isLength = !along && cloth.first === 'across';
  const folded = isLength && cloth.width >= FOLD_FROM_MM && SELVEDGED.includes(kind);
  const across = frameOf(cloth, along).width;
  const before = [
    ...(folded ? ['Fold selvedge to selvedge.'] : []),
    ...(isLength ? ['Square the end.'] : []),
    ...(!isLength
      ? [`Square one corner and begin there; strips are as long as the ${formatLength(across, unit)} side.`]
      : [])
  ].join(' ');
  return [
    { words: before, strip: null },
    ...strips.map(({ strip }, at) => ({ words: wordsFor(strip, nameOf, unit), strip: at }))
  ].map((step, at) => ({ number: at + 1, ...step }));
}

function wordsFor(strip: Strip, nameOf: (key: string) => string, unit: LengthUnit): string {
  const alike = new Map<string, { column: Column; times: number }>();
  for (const column of strip.columns) {
    const sign = column.pieces.map(({ key, height }) => `${key} ${height}`).join('|') + column.width;
    const same = alike.get(sign);
    if (same) same.times++;
    else alike.set(sign, { column, times: 1 });
  }
  const parts = [...alike.values()].map(({ column, times }) =>
    partWords(column, times, strip.height, nameOf, unit)
  );
  return `Cut a strip ${formatLength(strip.height, unit)}. From it: ${parts.join('; ')}.`;
}

function partWords(
  { width, pieces }: Column,
  times: number,
  height: number,
  nameOf: (key: string) => string,
  unit: LengthUnit
): string {
  const across = `${numberWord(times)} at ${formatLength(width, unit)}`;
  const each = times > 1 ? 'each ' : '';
  const [first] = pieces;
  if (!first) return across;
  if (pieces.length === 1) {
    const full = height - first.height < 0.01;
    return `${across}${full ? '' : `, ${each}turned and cut to ${formatLength(first.height, unit)}`} for ${nameOf(first.key)}`;
  }
  const runs: { key: string; height: number; count: number }[] = [];
  for (const piece of pieces) {
    const run = runs.find(({ key, height: own }) => key === piece.key && Math.abs(own - piece.height) < 0.01);
    if (run) run.count++;
    else runs.push({ key: piece.key, height: piece.height, count: 1 });
  }
  const down = runs.map(
    (run) => `${numberWord(run.count)} of ${formatLength(run.height, unit)} for ${nameOf(run.key)}`
  );
  return `${across}, ${each}turned and cut into ${down.join(' and ')}`;
}

/** What is narrower is no offcut. */
const SLIVER_MM = 25;

/** What is left of a cloth, as words: of a length what stays on it, and the largest offcuts. */
export function leftWords({ cloth, remainders, along, used }: PlannedCloth, unit: LengthUnit): string {
  const isLength = !along && cloth.first === 'across';
  const offcuts = remainders
    .filter(({ y, width, height }) => (!isLength || y < used - 0.01) && Math.min(width, height) >= SLIVER_MM)
    .sort((a, b) => b.width * b.height - a.width * a.height)
    .slice(0, 3)
    .map(({ width, height }) =>
      formatSize(along ? { width: height, height: width } : { width, height }, unit)
    );
  const stays =
    isLength && cloth.height !== null
      ? [`${formatLength(Math.max(0, cloth.height - used), unit)} stays on it.`]
      : [];
  return [...stays, offcuts.length === 0 ? 'No offcuts.' : `Offcuts: ${offcuts.join(', ')}.`].join(' ');
}
