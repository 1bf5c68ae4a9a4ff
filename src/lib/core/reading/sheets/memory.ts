import type { Before } from './objects';
import type { SheetPiece } from './pieceWords';

/** What is known of the hoop and of its pieces while the sentences of a sheet go by. */
export class Memory implements Before {
  /** The hoop is turned over. */
  over = false;
  /** The hoop has gone on, and nothing was stitched since. */
  waitsToRun = false;
  /** Something is in the hoop. */
  hooped = false;
  /** The work is out of the hoop for good. */
  out = false;
  /** The work was turned through its opening. */
  turnedOut = false;
  taped: SheetPiece[] = [];
  pinned: SheetPiece[] = [];
  laid: SheetPiece[] = [];
  /** Those laid since the last stop ran. */
  readonly laidSince = new Set<SheetPiece>();
  /** On which side of the hoop each piece was laid. */
  readonly sides = new Map<SheetPiece, 'above' | 'below' | null>();
  last: SheetPiece[] = [];
  /** It was the hoop that was spoken of last. */
  lastWasHoop = false;
  group: SheetPiece[] = [];
  #sentence = -1;

  /** The side of the hoop that lies towards the maker; null once the work is out. */
  get here(): 'above' | 'below' | null {
    return this.out ? null : this.over ? 'below' : 'above';
  }

  /** Remembers what a sentence speaks of, by its index. */
  speakOf(sentence: number, pieces: SheetPiece[]): void {
    this.last = pieces;
    this.lastWasHoop = false;
    const before = this.#sentence === sentence ? this.group : [];
    this.group = [...new Set([...before, ...pieces])];
    this.#sentence = sentence;
  }
}
