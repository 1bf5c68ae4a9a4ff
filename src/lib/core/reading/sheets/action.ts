import type { Role } from '$lib/core/documents/item';
import type { Facing } from './facing';
import type { ActionKind } from './actionKinds';
import type { SheetPiece } from './pieceWords';

/** Something a sentence asks hands to do. */
export interface SheetAction extends Facing {
  /** Number of the stop it follows; 0 before the first. */
  after: number;
  action: ActionKind;
  /** The piece, as the sheet calls it; null where the words name none. */
  piece: string | null;
  where: 'above' | 'below' | null;
  /** Index of its sentence. */
  sentence: number;
  /** What an `other` is. */
  is: string | null;
  optional: boolean;
  confidence: number;
  /** The words it was read from. */
  text: string;
}

/** A stop that a sentence runs. */
export interface SheetStop {
  n: number;
  role: Role;
  confidence: number;
  sentence: number;
  /** The words it was read from. */
  text: string;
}

/** What sentences ask for, and the pieces they speak of. */
export interface SheetReadings {
  actions: SheetAction[];
  stops: SheetStop[];
  pieces: SheetPiece[];
}
