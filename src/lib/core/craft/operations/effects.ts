import type { EdgeOnLine, Face, Hold, OperationOf, Role } from '$lib/core/documents/item';

/**
 * What an operation does to the sandwich in the hoop, in few enough words that the simulation knows them all. An operation
 * says which of them it is; the simulation never asks which operation it was.
 */
export type StackEffect =
  | { does: 'clamp'; pieceIds: string[] }
  | { does: 'unclamp' }
  | {
      does: 'lay';
      pieceId: string;
      side: 'above' | 'below';
      face: Face;
      covers?: string | undefined;
      /** Over the line the piece belongs to, wherever that is. */
      ownLine?: true;
      over?: number;
      edge?: EdgeOnLine | undefined;
      hold?: Hold;
    }
  | { does: 'lift'; pieceId: string }
  /** `early`: may come before the piece lies there. */
  | { does: 'hold'; pieceId: string; by: Hold; lineId?: string | undefined; early?: boolean }
  | { does: 'release'; held: 'tape' | 'pins'; pieceIds?: string[] | undefined }
  | { does: 'flip'; pieceId: string; lineId: string; covers?: string | undefined }
  /** Without pieces: everything in the hoop. `outwards`: mm beyond the line. */
  | {
      does: 'cut';
      pieceIds?: string[];
      lineId: string;
      /** Further parts that stay, each inside its own line. */
      alsoLineIds?: string[] | undefined;
      outwards: number;
      takes: 'outside' | 'inside';
      /** The side one works from, where only that side reaches the layer. */
      from?: 'front' | 'back';
    }
  | { does: 'take'; what: 'torn' | 'dissolved' }
  | { does: 'take'; what: 'topping'; pieceId: string }
  | { does: 'zip'; pieceId: string; to: OperationOf<'zip'>['to'] }
  | { does: 'turn'; lineId?: string | undefined; pieceId?: string | undefined }
  | { does: 'wind'; threadId: string | null }
  | { does: 'needle'; needle: string }
  | { does: 'fit'; what: OperationOf<'hardware'>['kind']; count: number }
  | { does: 'stitch'; run: OwnRun };

/** What the needle stitches though no stop of the file does: another file, or a box that the machine makes by itself. */
export interface OwnRun {
  name: string;
  role: Role;
  stitches: number;
  lineId?: string | undefined;
  threadId?: string | undefined;
}

/** An effect of one kind. */
export type EffectOf<D extends StackEffect['does']> = Extract<StackEffect, { does: D }>;

/** Cuts all that is in the hoop, a margin outside a line, or outside the lines of several parts. */
export function cutAll({
  lineId,
  alsoLineIds,
  margin
}: {
  lineId: string;
  alsoLineIds?: string[] | undefined;
  margin: number;
}): StackEffect {
  return { does: 'cut', lineId, alsoLineIds, outwards: margin, takes: 'outside' };
}
