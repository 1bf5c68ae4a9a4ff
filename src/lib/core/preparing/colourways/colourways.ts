import {
  comparedName,
  findStop,
  type Item,
  isStabiliserKind,
  type Material,
  type Thread
} from '$lib/core/documents/item';
import type { ClothEntry, StashEntry, ThreadEntry } from '$lib/core/documents/stash';
import type { Appearance } from '$lib/core/making/appearance';
import { sameName, serves } from '$lib/core/preparing/stash';

/** A cloth that is seen: all pieces cut from it change together. */
export interface SeenCloth {
  /** The first piece cut from it. */
  id: string;
  pieceIds: string[];
  material: Material;
}

/** Cloths and threads that take the place of those an item has, by the first piece and by the thread. */
export interface Colourway {
  cloths: Readonly<Record<string, Material>>;
  threads: Readonly<Record<string, Pick<Thread, 'name' | 'colour'>>>;
}

/** An item as it stands. */
export const AS_IT_IS: Colourway = { cloths: {}, threads: {} };

/**
 * The cloths and threads that one sees of an item.
 *
 * @param look how it ends
 *
 * @example
 * seenOf(tab, look).cloths.map(({ material }) => material.name) // ['Slate vinyl', 'Grey felt']
 */
export function seenOf(item: Item, { sides }: Appearance): { cloths: SeenCloth[]; threads: Thread[] } {
  const seen = new Set(sides.flatMap(({ patches }) => patches.map(({ pieceId }) => pieceId)));
  const cloths: SeenCloth[] = [];
  for (const { id, material } of item.pieces) {
    if (!seen.has(id) || isStabiliserKind(material.kind)) continue;
    const same = cloths.find(
      (each) => each.material.kind === material.kind && sameName(each.material.name, material.name)
    );
    if (same) same.pieceIds.push(id);
    else cloths.push({ id, pieceIds: [id], material });
  }
  const steps = new Set(sides.flatMap(({ threads }) => threads.map(({ stepId }) => stepId)));
  const used = new Set(
    item.steps.flatMap((step) =>
      step.kind === 'stop' && steps.has(step.id) ? (findStop(item, step.stopId)?.threadId ?? []) : []
    )
  );
  return { cloths, threads: item.threads.filter(({ id }) => used.has(id)) };
}

/**
 * An item in other cloths and threads; what it is made of and how stays.
 *
 * @example
 * inColours(tab, { cloths: { front: brownVinyl }, threads: {} }).pieces[0]?.material.name // 'Brown vinyl'
 */
export function inColours(item: Item, look: Appearance, way: Colourway): Item {
  const { cloths } = seenOf(item, look);
  const materialOf = new Map(
    cloths.flatMap(({ id, pieceIds }): [string, Material][] => {
      const material = way.cloths[id];
      return material ? pieceIds.map((pieceId) => [pieceId, material]) : [];
    })
  );
  return {
    ...item,
    pieces: item.pieces.map((piece) => {
      const material = materialOf.get(piece.id);
      return material ? { ...piece, material } : piece;
    }),
    threads: item.threads.map((thread) => ({ ...thread, ...way.threads[thread.id] }))
  };
}

/**
 * What a colourway needs that the stash does not have, a few words each.
 *
 * @example
 * lacksOf({ cloths: [cloth], threads: [brass] }, []) // ['Fern print', 'Brass thread']
 */
export function lacksOf(
  { cloths, threads }: { cloths: readonly SeenCloth[]; threads: readonly Pick<Thread, 'name'>[] },
  entries: readonly StashEntry[]
): string[] {
  const own = entries.filter((entry): entry is ClothEntry => entry.what === 'cloth' && entry.count > 0);
  const spools = threadsIn(entries);
  return [
    ...cloths
      .filter(({ material }) =>
        material.kind === 'zip' || material.kind === 'metal-zip'
          ? !entries.some((entry) => entry.what === 'zip' && entry.count > 0)
          : !own.some((entry) => serves(entry, material))
      )
      .map(({ material }) => material.name),
    ...threads
      .filter(({ name }) => !spools.some((spool) => sameName(spool.name, name)))
      .map(({ name }) => `${name} thread`)
  ];
}

/** The threads of a stash that are not used up. */
export function threadsIn(entries: readonly StashEntry[]): ThreadEntry[] {
  return entries.filter((entry): entry is ThreadEntry => entry.what === 'thread' && entry.metres > 0);
}

/** The cloths of a stash that could take the place of one: of its kind, each name once. */
export function clothsLike({ kind }: Pick<Material, 'kind'>, entries: readonly StashEntry[]): Material[] {
  const found = new Map<string, Material>();
  for (const entry of entries)
    if (
      entry.what === 'cloth' &&
      entry.kind === kind &&
      entry.count > 0 &&
      entry.height > 0 &&
      // Of two of one name the one with a photo shows what it looks like.
      !found.get(comparedName(entry.name))?.photo
    )
      found.set(comparedName(entry.name), {
        kind,
        name: entry.name,
        colour: entry.colour,
        ...(entry.photo && { photo: entry.photo })
      });
  return [...found.values()];
}
