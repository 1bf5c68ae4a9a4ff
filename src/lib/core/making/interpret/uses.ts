import type { MaterialKind, PieceUse } from '$lib/core/documents/item';

/** What the steps of a sheet do with a piece. */
export interface Laid {
  below: boolean;
  flipped: boolean;
  hooped: boolean;
}

/**
 * What a piece is for, from how it is handled and what it is made of.
 *
 * @example
 * useOf({ below: false, flipped: true, hooped: false }, 'woven') // 'flipped'
 */
export function useOf({ below, flipped, hooped }: Laid, kind: MaterialKind): PieceUse {
  if (hooped) return 'hooped';
  if (kind === 'batting') return 'batting';
  if (kind === 'zip' || kind === 'metal-zip') return 'zip-tape';
  if (flipped) return 'flipped';
  return below ? 'backing' : 'applique';
}
