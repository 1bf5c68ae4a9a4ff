import { type LengthUnit, MM_PER_INCH, roundTo } from '$lib/core/base/units';
import type { Machine } from './schema';

type Unreached = NonNullable<Machine['unreached']>;

/**
 * What outer needles do not reach, as one writes it.
 *
 * @example
 * reachWords([{ left: 12, right: 0 }, { left: 0, right: 0 }]) // '1: 12 left'
 */
export function reachWords(unreached: Unreached = [], unit: LengthUnit = 'mm'): string {
  return unreached
    .flatMap(({ left, right }, at) => [
      ...(left > 0 ? [`${at + 1}: ${written(left, unit)} left`] : []),
      ...(right > 0 ? [`${at + 1}: ${written(right, unit)} right`] : [])
    ])
    .join('; ');
}

const written = (mm: number, unit: LengthUnit): number => (unit === 'in' ? roundTo(mm / MM_PER_INCH, 2) : mm);

/**
 * Reads what outer needles do not reach: a needle, a length in the maker’s unit and a side each.
 *
 * @param needles of the machine
 * @returns null where it cannot be read; an empty list for an empty text
 *
 * @example
 * readReach('1: 12 left; 3: 9 right', 3) // [{ left: 12, right: 0 }, { left: 0, right: 0 }, { left: 0, right: 9 }]
 */
export function readReach(text: string, needles: number, unit: LengthUnit = 'mm'): Unreached | null {
  const parts = text.split(/[;,]/).filter((part) => part.trim() !== '');
  if (parts.length === 0) return [];
  const found: Unreached = Array.from({ length: needles }, () => ({ left: 0, right: 0 }));
  for (const part of parts) {
    const match = /^\s*(\d{1,2})\s*:?\s*(\d{1,3}(?:\.\d{1,3})?)\s*(?:mm\s*|in\s*)?(left|right)\s*$/i.exec(
      part
    );
    const needle = found[Number(match?.[1]) - 1];
    if (!match || !needle) return null;
    needle[match[3]?.toLowerCase() === 'left' ? 'left' : 'right'] =
      Math.round(Number(match[2]) * (unit === 'in' ? MM_PER_INCH : 1) * 10) / 10;
  }
  return found;
}
