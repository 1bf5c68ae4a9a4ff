import type { CutJob } from '$lib/core/documents/cutJob';
import { ClothEntry } from '$lib/core/documents/stash';
import type { Demand } from './demand';
import type { Purchase } from './result';

/**
 * A job with some pieces put on a cloth. More than are wanted cannot be put anywhere: what was put elsewhere gives way.
 *
 * @param clothId line of the stash, or what is bought
 */
export function chosen(
  { choices }: Pick<CutJob, 'choices'>,
  { key, count: wanted }: Pick<Demand, 'key' | 'count'>,
  clothId: string,
  count: number
): Pick<CutJob, 'choices'> {
  const here = choices.find((choice) => choice.key === key && choice.clothId === clothId)?.count ?? 0;
  const now = Math.min(wanted, here + count);
  let free = wanted - now;
  const elsewhere = choices.flatMap((choice) => {
    if (choice.key !== key) return [choice];
    if (choice.clothId === clothId) return [];
    const left = Math.min(free, choice.count);
    free -= left;
    return left > 0 ? [{ ...choice, count: left }] : [];
  });
  return { choices: [...elsewhere, { key, clothId, count: now }] };
}

/** What was bought, as a line of the stash. */
export function entryBought({ offer, material, count, mm }: Purchase, id: string): ClothEntry {
  const perMetre = offer.by === 'sheet' ? 1 : 1000 / offer.height;
  return ClothEntry.parse({
    what: 'cloth',
    id,
    name: material.name,
    colour: material.colour,
    kind: material.kind,
    form: offer.by === 'sheet' ? 'sheets' : offer.by,
    width: offer.width,
    height: offer.by === 'sheet' ? offer.height : mm,
    count: offer.by === 'sheet' ? count : 1,
    price: offer.price === null ? null : Math.round(offer.price * perMetre * 100) / 100
  });
}
