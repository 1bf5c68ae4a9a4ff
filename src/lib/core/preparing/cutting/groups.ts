import type { CutJob } from '$lib/core/documents/cutJob';
import type { Material } from '$lib/core/documents/item';
import type { ClothEntry } from '$lib/core/documents/stash';
import { isUnseen, serves } from '$lib/core/preparing/stash';
import { entryIdOf, TO_BUY } from './cloths';
import type { Demand } from './demand';
import type { Kept } from './kept';

/** Pieces of one material, with the cloths they may come from. */
export interface Group {
  id: string;
  material: Material;
  pieces: GroupPiece[];
  entries: ClothEntry[];
}

export interface GroupPiece {
  demand: Demand;
  count: number;
  /** The cloth or group of cloths the maker has put them on. */
  only?: string | undefined;
}

/** One name for a material: by its kind alone where nobody sees it. */
export function materialId({ kind, name }: Material): string {
  return isUnseen(kind) ? kind : `${kind}:${name.trim().toLowerCase()}`;
}

/**
 * Puts pieces together by material. A piece the maker has put on another cloth goes with the pieces of that cloth.
 *
 * @param kept how many of each are still to be laid out, and the cloths on which something is kept
 */
export function groupsOf(
  demands: readonly Demand[],
  { left, cloths }: Kept,
  entries: readonly ClothEntry[],
  { choices }: Pick<CutJob, 'choices'>
): Group[] {
  const groups = new Map<string, Group>();
  const groupOf = (material: Material): Group => {
    const id = materialId(material);
    const known = groups.get(id);
    if (known) return known;
    const fresh = { id, material, pieces: [], entries: entries.filter((entry) => serves(entry, material)) };
    groups.set(id, fresh);
    return fresh;
  };
  for (const demand of demands) {
    const own = groupOf(demand.material);
    let free = left.get(demand.key) ?? 0;
    for (const { clothId, count } of choices.filter(({ key }) => key === demand.key)) {
      const times = Math.min(count, free);
      if (times === 0) continue;
      const entry = entries.find(({ id }) => id === clothId);
      const home =
        !entry || own.entries.includes(entry)
          ? own
          : ([...groups.values()].find((group) => group.entries.includes(entry)) ?? groupOf(entry));
      // A cloth that is gone holds nobody back: its pieces go where the others go.
      const only = entry || clothId === TO_BUY ? clothId : undefined;
      home.pieces.push({ demand, count: times, only });
      free -= times;
    }
    if (free > 0) own.pieces.push({ demand, count: free });
  }
  // A strip that is kept is shown, though all its pieces may be of another material than its cloth.
  for (const clothId of cloths.keys()) {
    const entry = entries.find(({ id }) => id === entryIdOf(clothId));
    if (entry && ![...groups.values()].some((group) => group.entries.includes(entry))) groupOf(entry);
  }
  return [...groups.values()];
}
