import type { Material } from '$lib/core/documents/item';
import type { Offer } from '$lib/core/documents/shop';
import type { ClothEntry } from '$lib/core/documents/stash';
import { usableOf } from '$lib/core/preparing/stash';
import type { Cloth } from '$lib/core/solvers/strips';

/** A cloth that can be cut, with what it is. */
export interface CutCloth {
  cloth: Cloth;
  /** The line of the stash, none for what must be bought. */
  entry: ClothEntry | null;
  offer: Offer | null;
  name: string;
}

/** Sheets of one entry that are looked at; nobody cuts more in one go. */
const MOST_SHEETS = 12;

/**
 * The cloths of the stash for a group of pieces, in the order they are used up: offcuts first, the smallest first of
 * all, then sheets, then lengths. Price counts where every length and sheet has one, length where not.
 *
 * @param pieces how many pieces there are, so that no more sheets are opened
 */
export function clothsOf(entries: readonly ClothEntry[], pieces: number): CutCloth[] {
  const rank = { scrap: 0, sheets: 1, roll: 2, length: 2 } as const;
  const whole = entries.filter(({ form }) => form !== 'scrap');
  const priced = whole.every(({ price }) => price !== null);
  return [...entries]
    .sort((a, b) => rank[a.form] - rank[b.form] || a.width * a.height - b.width * b.height)
    .flatMap((entry): CutCloth[] => {
      const { width, height } = usableOf(entry);
      if (width <= 0 || height <= 0) return [];
      const price = priced ? (entry.price ?? 0) : null;
      const cloth: Cloth = {
        id: entry.id,
        width,
        height,
        turn: entry.direction === 'any',
        first: entry.form === 'scrap' || entry.form === 'sheets' ? 'either' : 'across',
        bought: false,
        perMm: entry.form === 'length' || entry.form === 'roll' ? (price === null ? 1 : price / 1000) : 0,
        whole: entry.form === 'sheets' ? (price ?? height) : 0
      };
      if (entry.form !== 'sheets') return [{ cloth, entry, offer: null, name: entry.name }];
      return Array.from({ length: Math.min(entry.count, pieces, MOST_SHEETS) }, (_, at) => ({
        cloth: { ...cloth, id: sheetId(entry.id, at), group: entry.id },
        entry,
        offer: null,
        name: entry.name
      }));
    });
}

/** One sheet of an entry of several. */
export function sheetId(entryId: string, at: number): string {
  return `${entryId}#${at + 1}`;
}

/** Which sheet of its entry a cloth is, from 1; 0 for a cloth that is no sheet. */
export function sheetNumberOf(clothId: string): number {
  return Number(/#(\d+)$/.exec(clothId)?.[1] ?? 0);
}

/** The line of the stash a cloth belongs to. */
export function entryIdOf(clothId: string): string {
  return clothId.replace(/#\d+$/, '');
}

/** What would be bought to cut from, as an offer sells it. */
export function boughtCloths(offer: Offer, material: Material, pieces: number): CutCloth[] {
  const name = `${material.name}, to buy`;
  const cloth: Cloth = {
    id: boughtId(offer, material),
    group: TO_BUY,
    width: offer.width,
    height: offer.by === 'length' ? null : offer.height,
    turn: true,
    first: offer.by === 'sheet' ? 'either' : 'across',
    bought: true,
    perMm: offer.by === 'sheet' ? 0 : (offer.price ?? offer.height) / offer.height,
    whole: offer.by === 'sheet' ? (offer.price ?? offer.height) : 0
  };
  if (offer.by === 'length') return [{ cloth, entry: null, offer, name }];
  return Array.from({ length: Math.min(pieces, offer.by === 'sheet' ? 40 : 6) }, (_, at) => ({
    cloth: { ...cloth, id: `${cloth.id}#${at + 1}` },
    entry: null,
    offer,
    name
  }));
}

/** The group of everything that must be bought. */
export const TO_BUY = 'buy';

function boughtId(offer: Offer, { kind, name }: Material): string {
  return `buy:${offer.id}:${kind}:${name}`;
}

/** Whether a cloth still has to be bought. */
export function isBought(clothId: string): boolean {
  return clothId.startsWith('buy:');
}
