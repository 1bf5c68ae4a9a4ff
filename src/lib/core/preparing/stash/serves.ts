import { type Material, type MaterialKind, STABILISERS, comparedName } from '$lib/core/documents/item';
import type { ClothEntry } from '$lib/core/documents/stash';

/** Materials nobody sees in the end: one of the kind is as good as another. */
const UNSEEN: readonly MaterialKind[] = [
  ...STABILISERS,
  'batting',
  'fusible',
  'interfacing',
  'heat-adhesive'
];

/** Whether a kind of material stays unseen, so that its name does not matter. */
export function isUnseen(kind: MaterialKind): boolean {
  return UNSEEN.includes(kind);
}

/**
 * Whether a cloth of the stash is what a piece is made of: of its kind, and of its name too where it will be seen.
 *
 * @example
 * serves({ kind: 'woven', name: 'fern print', … }, { kind: 'woven', name: 'Fern print', … }) // true
 */
export function serves(entry: Pick<ClothEntry, 'kind' | 'name'>, material: Material): boolean {
  if (entry.kind !== material.kind) return false;
  return isUnseen(material.kind) || sameName(entry.name, material.name);
}

/** Whether two names are the same but for capitals and blanks. */
export function sameName(a: string, b: string): boolean {
  return comparedName(a) === comparedName(b);
}
