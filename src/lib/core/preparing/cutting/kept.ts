import type { CutJob, Strip } from '$lib/core/documents/cutJob';
import type { ClothEntry } from '$lib/core/documents/stash';
import { entryIdOf, sheetId } from './cloths';
import type { Demand } from './demand';

/** What is settled already: kept strips by cloth, and how many of each piece are still to be laid out. */
export interface Kept {
  cloths: Map<string, { along: boolean; strips: Strip[] }>;
  left: Map<string, number>;
}

/**
 * What the maker keeps, as far as it still holds: strips whose cloth is still there, and whose pieces are still wanted in
 * that size. Pieces already cut are taken off what is wanted.
 */
export function keptOf(
  demands: readonly Demand[],
  entries: readonly ClothEntry[],
  { kept, done }: Pick<CutJob, 'kept' | 'done'>
): Kept {
  const left = new Map(demands.map(({ key, count }) => [key, count]));
  for (const cut of done) take(left, cut.kept.strip);
  const cloths: Kept['cloths'] = new Map();
  for (const { clothId, along, strip } of kept) {
    const before = cloths.get(clothId);
    if (!isThere(clothId, entries) || !isWanted(strip, demands, left)) continue;
    if (before && before.along !== along) continue;
    take(left, strip);
    const strips = before?.strips ?? [];
    const y = strips.reduce((sum, { height }) => sum + height, 0);
    cloths.set(clothId, { along, strips: [...strips, { ...strip, y }] });
  }
  return { cloths, left };
}

/** Pieces of a strip, by key. */
export function piecesIn({ columns }: Strip): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { pieces } of columns) for (const { key } of pieces) counts.set(key, (counts.get(key) ?? 0) + 1);
  return counts;
}

function take(left: Map<string, number>, strip: Strip): void {
  for (const [key, count] of piecesIn(strip)) {
    const before = left.get(key);
    if (before !== undefined) left.set(key, Math.max(0, before - count));
  }
}

function isWanted(strip: Strip, demands: readonly Demand[], left: ReadonlyMap<string, number>): boolean {
  const sized = strip.columns
    .flatMap(({ pieces }) => pieces)
    .every(({ key, width, height }) => {
      const cut = demands.find((demand) => demand.key === key)?.cut;
      return cut !== undefined && same([cut.width, cut.height], [width, height]);
    });
  return sized && [...piecesIn(strip)].every(([key, count]) => (left.get(key) ?? 0) >= count);
}

function same(a: [number, number], b: [number, number]): boolean {
  const near = (x: number, y: number): boolean => Math.abs(x - y) < 0.01;
  return (near(a[0], b[0]) && near(a[1], b[1])) || (near(a[0], b[1]) && near(a[1], b[0]));
}

function isThere(clothId: string, entries: readonly ClothEntry[]): boolean {
  const entry = entries.find(({ id }) => id === entryIdOf(clothId));
  // What must be bought is planned anew each time: another offer may be better by then.
  if (!entry) return false;
  if (entry.form !== 'sheets') return entry.id === clothId;
  return Array.from({ length: entry.count }, (_, at) => sheetId(entry.id, at)).includes(clothId);
}
