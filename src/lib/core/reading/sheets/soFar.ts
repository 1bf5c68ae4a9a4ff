import type { SheetAction, SheetStop } from './action';
import type { ActionKind } from './actionKinds';
import { Memory } from './memory';
import type { SheetPiece } from './pieceWords';
import type { Sentence } from './sentences';
import { BELOW } from './telling';
import type { Things } from './things';

const SURE = 0.85;

/** What is known of an action beside what it is. */
export type More = Partial<Omit<SheetAction, 'action' | 'sentence' | 'text'>>;
/** A part of a sentence that asks for one thing. */
export interface Said {
  sentence: Sentence;
  text: string;
  optional: boolean;
  /** The text was put in other words already: what is not understood then is not put in other words again. */
  reworded?: boolean;
}

/** The actions and stops that were read so far, and what is known of the hoop by now. */
export class SoFar {
  readonly actions: SheetAction[] = [];
  readonly stops: SheetStop[] = [];
  protected readonly now = new Memory();

  constructor(protected readonly things: Things) {}

  /** Number of the last stop that ran. */
  protected get reached(): number {
    return this.stops.at(-1)?.n ?? 0;
  }

  /** A stop runs: it is the last one reached. */
  protected run(n: number, { sentence: { index: sentence }, text }: Said): void {
    // Nothing is stitched upside down: the hoop was turned back.
    this.now.over = false;
    this.now.laidSince.clear();
    this.now.waitsToRun = false;
    this.stops.push({ n, role: 'decoration', confidence: 0, sentence, text });
  }

  /** Tape and pins come off the pieces named, else off all that have them. */
  protected loosen(said: Said, action: 'untape' | 'unpin', more: More): void {
    const { text } = said;
    const held = action === 'untape' ? this.now.taped : this.now.pinned;
    const named = this.things
      .mentions(text)
      .map(({ piece }) => piece)
      .filter((piece) => held.includes(piece) || !/\btapes?\b/i.test(piece.name));
    const where = action === 'untape' ? this.now.here : null;
    if (action === 'untape' && named.length === 0 && /\ball\b/i.test(text) && held.length !== 1) {
      this.add(said, action, 'all tape', { ...more, where: null });
      this.now.taped = [];
      return;
    }
    const meant = /\b(?:it|them)\b/i.test(text) ? this.now.last.filter((piece) => held.includes(piece)) : [];
    const off = named.length > 0 ? named : meant.length > 0 ? meant : [...held];
    for (const piece of off.length > 0 ? off : [null]) this.add(said, action, piece, { ...more, where });
    const rest = held.filter((piece) => !off.includes(piece));
    if (action === 'untape') this.now.taped = rest;
    else this.now.pinned = rest;
    if (off.length > 0) this.now.speakOf(said.sentence.index, off);
  }

  /** On which side of the hoop an action is done; null where that says nothing. */
  protected whereOf(action: ActionKind, text: string): SheetAction['where'] {
    if (!['lay', 'insert-ribbon', 'tape', 'pin', 'flip'].includes(action))
      return this.now.over && action === 'trim' ? 'below' : null;
    if (this.now.over) return 'below';
    if (action === 'lay' || action === 'insert-ribbon') return BELOW.test(text) ? 'below' : 'above';
    return this.now.here;
  }

  /** An action that a part of a sentence asks for, with what is known of it. */
  protected add(
    { sentence, text, optional }: Said,
    action: ActionKind,
    piece: SheetPiece | string | null = null,
    more: More = {}
  ): void {
    this.actions.push({
      after: this.reached,
      action,
      piece: typeof piece === 'string' ? piece : (piece?.name ?? null),
      face: null,
      faceFromAbove: null,
      where: null,
      sentence: sentence.index,
      is: null,
      optional,
      confidence: SURE,
      text,
      ...more
    });
  }
}
