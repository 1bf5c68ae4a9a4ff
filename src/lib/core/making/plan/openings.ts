import { formatLength, type LengthUnit } from '$lib/core/base/units';
import { openingsOf } from '$lib/core/craft/sequence';
import { findLine, type Item, type Stop } from '$lib/core/documents/item';

/**
 * Where a closing seam is left open, and whether for good: a sentence for each gap.
 *
 * @example
 * openingWords(coaster, closing, 'mm') // ['It leaves 60 mm open at the bottom.']
 */
export function openingWords(item: Item, { role, lineIds }: Stop, unit: LengthUnit): string[] {
  if (role !== 'closing-seam') return [];
  return lineIds
    .flatMap((id) => findLine(item, id) ?? [])
    .flatMap(openingsOf)
    .map(({ side, lengthMm, stays }) =>
      stays
        ? `The ${side} stays open: ${formatLength(lengthMm, unit)}.`
        : `It leaves ${formatLength(lengthMm, unit)} open at the ${side}.`
    );
}
