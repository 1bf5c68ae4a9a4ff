import type { z } from 'zod';
import type { Path } from '$lib/core/base/geometry';
import type { Line, Material, Operation, Piece, PieceUse, Role } from '$lib/core/documents/item';
import type { Sequence, StopPart } from '$lib/core/craft/sequence';
import type { Ahead } from './ahead';
import type { Frame, Frames } from './frame';
import { type Standing, standingOf } from './standing';

/** Stitches that a pile would swallow. */
const SINKS_IN: readonly Role[] = ['decoration', 'lettering', 'applique-edge'];

/** Where a block is written down: everything it makes carries its own id, so that it can be repeated. */
export class Site {
  #moves = 0;

  constructor(
    readonly s: Sequence,
    readonly id: string,
    /** What the maker calls the block, so that its steps can be told from those of another. */
    readonly name: string | undefined,
    readonly frames: Frames,
    /** What comes after it. */
    readonly ahead: Ahead
  ) {}

  /** The outline it works on. */
  get frame(): Frame {
    return this.frames.now;
  }

  /** What the maker calls it, or else what it is. */
  label(usual: string): string {
    return this.name ?? usual;
  }

  get standing(): Standing {
    return standingOf(this.s, this.frame);
  }

  /** The id of the hooping that begins now: by its number, or by the block where another has that. */
  newHooping(usual = `hooping-${this.s.sofar.hoopings.length + 1}`): string {
    const taken = new Set(this.s.sofar.hoopings.map(({ id }) => id));
    if (!taken.has(usual)) return usual;
    let own = this.key('hooping');
    for (let at = 2; taken.has(own); at++) own = this.key(`hooping-${at}`);
    return own;
  }

  /** The id of something of this block. */
  key(part: string): string {
    return `${this.id}-${part}`;
  }

  line(part: string, name: string, path: Path, gaps: Line['gaps'] = []): string {
    return this.s.line(this.key(part), name, path, this.standing.hooping ?? undefined, gaps);
  }

  piece(
    part: string,
    name: string,
    material: Material,
    use: PieceUse,
    more: Partial<Omit<Piece, 'id' | 'name' | 'material' | 'use'>> = {}
  ): string {
    return this.s.piece(this.key(part), this.#unused(name.toUpperCase().slice(0, 55)), material, use, more);
  }

  hand(
    part: string,
    op: z.input<typeof Operation>,
    more: { needs?: string[]; note?: string; free?: boolean } = {}
  ): string {
    return this.s.hand(this.key(part), op, more);
  }

  /** Work on pieces before the hooping they are laid in. */
  prepare(part: string, op: z.input<typeof Operation>, note?: string): string {
    return this.s.prepare(this.key(part), op, note);
  }

  stop(part: string, what: StopPart, needs: string[] = []): string {
    if (SINKS_IN.includes(what.role) && this.ahead.beforeDense()) this.toMachine();
    return this.s.stop(this.key(part), what, needs);
  }

  /**
   * The hoop on the machine, front up, ready to stitch.
   *
   * @param note what to mind where something loose lies under it
   */
  toMachine(note?: string): void {
    const { turned, onMachine, loose } = this.standing;
    if (turned) this.#move('turn-over');
    if (onMachine) return;
    this.#move('hoop-on');
    if (loose.length > 0)
      this.hand(`look-${this.#moves}`, { do: 'check-under' }, note === undefined ? {} : { note });
  }

  /** The hoop on the table, front up. */
  toTable(): void {
    const { turned, onMachine } = this.standing;
    if (onMachine) this.#move('hoop-off');
    if (turned) this.#move('turn-over');
  }

  /** The hoop on the table, its back up. */
  toBack(): void {
    const { turned, onMachine } = this.standing;
    if (onMachine) this.#move('hoop-off');
    if (!turned) this.#move('turn-over');
  }

  /**
   * Looked over on the table, then out of the ring.
   *
   * @param part what tells it from another of the same block
   * @param needs steps that come before the look
   * @returns the id of the step that takes it out
   */
  outOfTheRing(part = '', needs: string[] = []): string {
    this.toTable();
    const looked = this.hand(`inspect${part}`, { do: 'inspect' }, { needs });
    this.snipJumps('both', part);
    return this.hand(`unhoop${part}`, { do: 'unhoop' }, { needs: [looked] });
  }

  /** Snips what the design left between its parts, where one was stitched since anybody snipped: soon nobody reaches it. */
  snipJumps(side: 'front' | 'both', part = ''): void {
    const { entries, expected } = this.s.sofar;
    const since = entries.findLastIndex(
      (entry) => entry.kind === 'hand' && (entry.op.do === 'snip' || entry.op.do === 'hoop')
    );
    const stitched = new Set(
      entries.slice(since + 1).flatMap((entry) => (entry.kind === 'stop' ? entry.key : []))
    );
    if (expected.some(({ key, role }) => stitched.has(key) && JUMPS.includes(role))) this.snip(side, part);
  }

  /** Snips tails and jumps, whether any are known or not. */
  snip(side: 'front' | 'back' | 'both', part = ''): void {
    this.hand(`snip${part}`, { do: 'snip', side, jumps: SNIPS });
  }

  /** Takes pins out of what is stitched down: tape lies outside the stitching and may wait, pins may not. */
  freePins(): void {
    const { holds, out } = this.standing;
    if (holds.some(({ pins, stitched }) => pins && (stitched || out)))
      this.hand(`unpin-${++this.#moves}`, { do: 'unpin' });
  }

  /** Takes tape and pins off what is stitched down. */
  freeHolds(): void {
    const { holds, out } = this.standing;
    const free = holds.filter(({ stitched }) => stitched || out);
    const strips = free.reduce((sum, hold) => sum + hold.strips, 0);
    const stay = holds.some((hold) => hold.strips > 0 && !free.includes(hold));
    const freed = free.filter((hold) => hold.strips > 0).map(({ piece }) => piece.id);
    if (strips > 0)
      this.hand(`untape-${++this.#moves}`, {
        do: 'untape',
        strips: Math.min(40, strips),
        ...(stay && { pieceIds: freed })
      });
    this.freePins();
  }

  /** Takes toppings off before something covers them for good. */
  freeToppings(): void {
    const { toppings, holds } = this.standing;
    for (const { id } of toppings) {
      const hold = holds.find(({ piece }) => piece.id === id);
      if (hold?.pins) this.hand(`unpin-${++this.#moves}`, { do: 'unpin' });
      if (hold && hold.strips > 0)
        this.hand(`untape-${++this.#moves}`, { do: 'untape', strips: hold.strips });
      this.hand(`topping-off-${++this.#moves}`, { do: 'topping-off', pieceId: id });
    }
  }

  /** Cuts what reaches past the seam back to it, tacked down first where nothing holds it there yet. */
  trimToSeam(): void {
    const { untrimmed, tacked } = this.standing;
    if (untrimmed.length === 0) return;
    if (!untrimmed.every(({ id }) => tacked.includes(id))) this.tackOutline();
    this.toTable();
    this.freeHolds();
    const id = this.hand('trim-layers', {
      do: 'trim',
      pieceIds: untrimmed.map((piece) => piece.id),
      lineId: this.frame.seamId,
      side: 'outside',
      margin: 0.5
    });
    this.s.must(id);
    this.openHoles(untrimmed.map((piece) => piece.id));
  }

  /** Cuts pieces away inside the slots of the item; the stabiliser in them stays whole. */
  openHoles(pieceIds: string[]): void {
    const keepIds = this.standing.ring.map(({ id }) => id);
    for (const lineId of this.frame.holes)
      this.s.must(
        this.hand(`trim-${lineId}-${++this.#moves}`, {
          do: 'trim',
          pieceIds,
          lineId,
          side: 'inside',
          margin: 0.5,
          keepIds
        })
      );
  }

  /** A run along the seam that holds whatever only tape or pins hold yet. */
  tackOutline(): void {
    this.toMachine();
    this.stop(`outline-${++this.#moves}`, {
      name: 'Outline tack-down',
      role: 'tack-down',
      words: /outline|tack|again|baste/,
      lineIds: [this.frame.seamId, ...this.frame.holes],
      visible: 'hidden',
      ...(this.s.lastStop !== null && { threadOf: this.s.lastStop })
    });
  }

  /** A name no other piece has: the second front is FRONT 2. */
  #unused(name: string): string {
    const taken = new Set(this.s.sofar.pieces.map((piece) => piece.name));
    let own = name;
    for (let at = 2; taken.has(own); at++) own = `${name} ${at}`;
    return own;
  }

  #move(kind: 'hoop-on' | 'hoop-off' | 'turn-over'): void {
    this.hand(`${kind}-${++this.#moves}`, { do: kind });
  }
}

/** The needle goes from part to part in these, and leaves jumps. */
const JUMPS: readonly Role[] = ['decoration', 'lettering', 'applique-edge', 'lace'];
/** Jumps to snip, where nobody has counted them. */
const SNIPS = 4;
