import { regionArea } from '$lib/core/base/geometry';
import type { Item, Material } from '$lib/core/documents/item';
import type { StashEntry } from '$lib/core/documents/stash';
import { type Appearance, contrastOf, threadsOnCloth } from '$lib/core/making/appearance';
import { nearestThreads } from '$lib/core/preparing/threads';
import { clothsLike, type Colourway, type SeenCloth, seenOf, threadsIn } from './colourways';

const RANK = { 'hardly seen': 0, soft: 1, clear: 2, strong: 3 } as const;
/** Spools tried for a thread that would hardly be seen. */
const TRIED = 40;

/**
 * Other colours an item could have from what lies in the stash: another main cloth each, the other cloths set against it, and a
 * thread changed only where it would hardly be seen.
 *
 * @param look how the item ends
 * @param most colourways given at most
 *
 * @example
 * suggestColourways(tab, look, stash, 3).length // 3, where the stash has three more vinyls
 */
export function suggestColourways(
  item: Item,
  look: Appearance,
  entries: readonly StashEntry[],
  most = 3
): Colourway[] {
  const { cloths, threads } = seenOf(item, look);
  const area = (cloth: SeenCloth): number =>
    look.sides
      .flatMap(({ patches }) => patches)
      .filter(({ pieceId }) => cloth.pieceIds.includes(pieceId))
      .reduce((sum, { region }) => sum + regionArea(region), 0);
  const main = cloths
    .filter(({ material }) => clothsLike(material, entries).some(({ colour }) => colour !== material.colour))
    .sort((a, b) => area(b) - area(a))[0];
  if (!main) return [];
  const others = cloths.filter((cloth) => cloth !== main);
  const spools = threadsIn(entries);
  const crossed = clothsUnder(item, look);
  const made = clothsLike(main.material, entries)
    .filter(({ colour }) => colour !== main.material.colour)
    .map((cloth): { way: Colourway; score: number } => {
      const chosen: Record<string, Material> = { [main.id]: cloth };
      for (const other of others) {
        const best = clothsLike(other.material, entries).sort(
          (a, b) => against(b.colour, cloth.colour) - against(a.colour, cloth.colour)
        )[0];
        if (best && against(other.material.colour, cloth.colour) < RANK.soft) chosen[other.id] = best;
      }
      const colourOf = (id: string): string | undefined =>
        chosen[id]?.colour ?? cloths.find((each) => each.id === id)?.material.colour;
      const changed: Record<string, { name: string; colour: string }> = {};
      let worst: number = RANK.strong;
      for (const { id, colour } of threads) {
        const under = (crossed.get(id) ?? []).flatMap((clothId) => colourOf(clothId) ?? []);
        if (under.length === 0) continue;
        const standing = (thread: string): number =>
          Math.min(...under.map((ground) => RANK[contrastOf(thread, ground)]));
        let now = standing(colour);
        if (now < RANK.clear) {
          const better = nearestThreads(colour, spools, TRIED).find(
            ({ thread }) => standing(thread.colour) > now
          )?.thread;
          if (better) {
            changed[id] = { name: better.name, colour: better.colour };
            now = standing(better.colour);
          }
        }
        worst = Math.min(worst, now);
      }
      return { way: { cloths: chosen, threads: changed }, score: worst - Object.keys(changed).length / 10 };
    });
  return made
    .sort((a, b) => b.score - a.score)
    .slice(0, most)
    .map(({ way }) => way);
}

function against(a: string, b: string): number {
  return RANK[contrastOf(a, b)];
}

/** The cloths each thread crosses, by the first piece cut from them. */
function clothsUnder(item: Item, look: Appearance): ReadonlyMap<string, string[]> {
  const { cloths } = seenOf(item, look);
  const stops = item.files.flatMap((file) => file.stops);
  const under = new Map<string, string[]>();
  for (const { stepId, cloths: crossed } of threadsOnCloth(look)) {
    const step = item.steps.find(({ id }) => id === stepId);
    const threadId = step?.kind === 'stop' ? stops.find(({ id }) => id === step.stopId)?.threadId : undefined;
    if (threadId === undefined) continue;
    const own = crossed.flatMap(({ name }) => {
      const piece = item.pieces.find((each) => each.name === name);
      return cloths.filter(({ pieceIds }) => piece && pieceIds.includes(piece.id)).map(({ id }) => id);
    });
    under.set(threadId, [...new Set([...(under.get(threadId) ?? []), ...own])]);
  }
  return under;
}
