import type { Hold } from '$lib/core/documents/item';

/** What the words for things to lay out depend on besides the operation. */
export interface Readying {
  /** A piece with its cut size. */
  piece: (pieceId: string) => string;
  /** Name of the thread that is put on, or that the bobbin is wound with; null for none. */
  thread: string | null;
  /** The step as the sheet calls it. */
  title: string;
}

/** A piece to lay out. */
export function pieceReady({ pieceId }: { pieceId: string }, { piece }: Readying): string[] {
  return [piece(pieceId)];
}

/** What holds a piece, to lay out with it. */
export function holdReady(hold: Hold): string[] {
  switch (hold.by) {
    case 'tape':
      return [`tape, ${hold.strips} strips`];
    case 'pins':
      return [`${hold.pins} pins`];
    case 'spray':
      return ['spray, away from the machine'];
    case 'glue':
      return ['glue stick'];
    case 'fuse':
    case 'hand':
    case 'nothing':
      return [];
  }
}
