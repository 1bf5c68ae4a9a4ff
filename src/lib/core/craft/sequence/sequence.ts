import type { z } from 'zod';
import { traitsOf } from '$lib/core/craft/operations';
import type { StackState } from '$lib/core/craft/stack';
import type { Outline, Path } from '$lib/core/base/geometry';
import {
  type Line,
  type Material,
  Operation,
  type Piece,
  type PieceUse,
  type Role,
  type Variant
} from '$lib/core/documents/item';
import {
  type DetailColour,
  emptyPattern,
  expectStop,
  type Pattern,
  type PatternEntry,
  type Truth
} from './pattern';
import { estimateAlong } from './estimate';
import { HoopSoFar, type Impossible } from './hoopSoFar';
import { nameOf, namesOf, stepsOfTruth } from './stepNames';
import type { StopPart } from './stopPart';

/** Steps before any hooping belong to the first. */
const FIRST = 'hooping-1';

/** Stitching that waits for what it lies on to be tacked down. */
const ON_TOP: readonly Role[] = ['decoration', 'lettering', 'quilting', 'satin-edge', 'applique-edge'];

/** A part of a construction: work that belongs together, as laying a back and stitching it on. */
export interface Part {
  key: string;
  name: string;
}

/**
 * Writes a construction down step by step. What a step needs follows from the order of the work: hand work waits for
 * the stop before it, a stop for the hand work before it, and the hoop moves one way at a time. Anything more is named.
 */
export class Sequence {
  readonly #pattern: Pattern;
  readonly #hoopSoFar: HoopSoFar;
  #hooping = '';
  #lastMove: string | null = null;
  #lastStop: string | null = null;
  /** Work done since the last stop, and since the hoop last moved. */
  #sinceStop: string[] = [];
  #sinceMove: string[] = [];
  #lastTack: string | null = null;
  /** Trims of this hooping: the edge that hides them waits for all. */
  #trims: string[] = [];
  #stopsHere: string[] = [];
  #moves = 0;
  #file: string | undefined;
  readonly #parts = new Map<string, Part & { write: () => void }>();
  /** Moves of the hoop before each part that is written. */
  readonly #movesBefore = new Map<string, number>();
  #block: string | undefined;

  /** The outline as it was asked for. */
  readonly shape: Outline;

  constructor({ shape, ...variant }: Pick<Variant, 'size' | 'finished' | 'edge'> & { shape: Outline }) {
    this.shape = shape;
    this.#pattern = emptyPattern({ shape: typeof shape === 'object' ? 'drawn' : shape, ...variant });
    this.#hoopSoFar = new HoopSoFar(this.#pattern);
  }

  /**
   * Work that belongs together. It is told now and written when its turn comes, so that parts can change places and others
   * can come between.
   */
  part(key: string, name: string, write: () => void): void {
    this.#parts.set(key, { key, name, write });
  }

  /** The parts in the order the construction tells them. */
  get parts(): Part[] {
    return [...this.#parts.values()].map(({ key, name }) => ({ key, name }));
  }

  /** Moves of the hoop before each part that is written; with them its moves keep their names wherever it goes. */
  get movesBefore(): ReadonlyMap<string, number> {
    return this.#movesBefore;
  }

  /**
   * Writes a part down.
   *
   * @param moves how many moves of the hoop come before it as the construction tells it
   * @throws RangeError when there is no such part
   */
  write(key: string, moves = this.#moves): void {
    const part = this.#parts.get(key);
    if (!part) throw new RangeError(`There is no part ${key}.`);
    this.#moves = moves;
    this.#movesBefore.set(key, moves);
    this.under(key, part.write);
  }

  /** Writes steps down as those of a block. */
  under(block: string, write: () => void): void {
    this.#block = block;
    write();
    this.#block = undefined;
  }

  /** What has been written down so far. */
  get sofar(): Readonly<Pattern> {
    return this.#pattern;
  }

  /** The simulated hoop after what has been written so far. */
  get simulated(): StackState {
    return this.#hoopSoFar.state;
  }

  /** Steps written so far that cannot be done where they stand. */
  get impossible(): readonly Impossible[] {
    return this.#hoopSoFar.impossible;
  }

  /** How the item ends up, where a block decides it. */
  ends(variant: Partial<Pick<Variant, 'size' | 'finished' | 'edge'>>): void {
    Object.assign(this.#pattern.variant, variant);
  }

  /** A line of the item, in the hooping where it registers. */
  line(id: string, name: string, path: Path, frame = 'hooping-1', gaps: Line['gaps'] = []): string {
    this.#pattern.lines.push({ id, name, frame, path, gaps });
    return id;
  }

  /** The path of a line written down before. */
  pathOf(id: string): Path {
    const line = this.#pattern.lines.find((each) => each.id === id);
    if (!line) throw new RangeError(`There is no line ${id} yet.`);
    return line.path;
  }

  /** A piece; what it shows in the end is nothing unless said. */
  piece(
    id: string,
    name: string,
    material: Material,
    use: PieceUse,
    more: Partial<Omit<Piece, 'id' | 'name' | 'material' | 'use'>> = {}
  ): string {
    this.#pattern.pieces.push({
      id,
      name,
      material,
      use,
      plies: 1,
      covers: null,
      shows: 'nothing',
      shape: 'rough',
      grain: 'any',
      folded: false,
      loose: false,
      overrides: {},
      ...more
    });
    return id;
  }

  /** What is sewn to something else later: where pieces are seen then is decided outside the hoop. */
  seenLater(pieceIds: readonly string[]): void {
    for (const piece of this.#pattern.pieces) if (pieceIds.includes(piece.id)) piece.seenLater = true;
  }

  /** Clamps pieces, from below up, and puts the hoop on the machine. */
  hoop(id: string, name: string, pieceIds: string[], { sticky = false, on = true, step = '' } = {}): void {
    this.#pattern.hoopings.push({ id, name, hooped: pieceIds, mounting: 1 });
    this.#hooping = id;
    this.hand(step || (id === FIRST ? 'hoop' : `hoop-${id}`), { do: 'hoop', pieceIds, sticky });
    if (on) this.move('hoop-on');
  }

  /** Moves the hoop; several moves follow each other. Gives the id of the last. */
  move(
    ...kinds: ('hoop-on' | 'hoop-off' | 'turn-over' | 'frame-forward' | 'frame-back' | 'unhoop')[]
  ): string {
    return kinds.map((kind) => this.hand(`${kind}-${++this.#moves}`, { do: kind })).at(-1) ?? '';
  }

  /** Takes the hoop off and turns it over, for work on the back. Gives the id of the turning. */
  toBack(): string {
    return this.move('hoop-off', 'turn-over');
  }

  /** Turns the hoop back and puts it on. Gives the id of the turning. */
  toFront(): string {
    const turned = this.move('turn-over');
    this.move('hoop-on');
    return turned;
  }

  /** Stops that follow come from another file, which is loaded first unless it is the first of all. */
  file(key: string, name: string, skips = 0): void {
    const first = this.#pattern.files.length === 0;
    this.#pattern.files.push({ key, name, skips });
    this.#file = key;
    if (!first) this.hand(`load-${key}`, { do: 'load-file', fileId: `file:${key}` });
  }

  /** What was stitched until now is a file too, where another follows that nobody announced. */
  firstFile(key: string, name: string): void {
    this.#pattern.files.push({ key, name, skips: 0 });
    for (const stop of this.#pattern.expected) stop.file = key;
  }

  /** All stops of the file run as one. */
  oneColour(): void {
    this.#pattern.oneColour = true;
  }

  /** A hand step; gives its id. */
  hand(
    id: string,
    op: z.input<typeof Operation>,
    more: { needs?: string[]; note?: string; free?: boolean } = {}
  ): string {
    const parsed = Operation.parse(op);
    const { order } = traitsOf(parsed.do);
    const isMove = order === 'move';
    const isWork = order === 'work' || order === 'free';
    const needs = [
      ...(more.needs ?? []),
      ...(isMove && this.#lastMove ? [this.#lastMove] : []),
      ...(isMove ? this.#sinceMove : []),
      ...(parsed.do === 'unhoop' ? this.#stopsHere : []),
      ...(order === 'work' || parsed.do === 'unhoop' ? (this.#lastStop ? [this.#lastStop] : []) : []),
      ...(isWork && this.#turned() && this.#lastMove ? [this.#lastMove] : [])
    ];
    this.#entry({ kind: 'hand', id, op: parsed, needs, ...(more.note !== undefined && { note: more.note }) });
    if (isMove) {
      this.#lastMove = id;
      this.#sinceMove = [];
    } else if (isWork) {
      this.#sinceStop.push(id);
      if (order === 'work') this.#sinceMove.push(id);
    }
    if (parsed.do === 'trim') this.#trims.push(id);
    if (parsed.do === 'hoop') {
      this.#trims = [];
      this.#stopsHere = [];
    }
    if (parsed.do === 'lay' && parsed.hold.by !== 'nothing') this.truth({ kind: 'held', step: id });
    if ((parsed.do === 'flip' || parsed.do === 'topping-on') && more.free !== true) this.must(id);
    return id;
  }

  /** A stop of the file; gives its key. */
  stop(key: string, part: StopPart, needs: string[] = []): string {
    const { passes = 1, width, thread, ...rest } = part;
    const estimate =
      rest.estimate ?? estimateAlong(this.#pathsOf(rest.lineIds ?? []), rest.role, passes, width);
    this.#pattern.expected.push(
      expectStop({ key, ...rest, estimate, ...(this.#file !== undefined && { file: this.#file }) })
    );
    if (thread) this.#pattern.threads[key] = Array.isArray(thread) ? thread : [thread];
    this.#entry({
      kind: 'stop',
      key,
      needs: [
        ...needs,
        ...(this.#lastMove ? [this.#lastMove] : []),
        ...this.#sinceStop,
        ...(ON_TOP.includes(rest.role) && this.#lastTack ? [this.#lastTack] : []),
        ...(rest.role === 'satin-edge' || rest.role === 'applique-edge' ? this.#trims : [])
      ]
    });
    if (rest.role === 'tack-down') this.#lastTack = key;
    this.#lastStop = key;
    this.#stopsHere.push(key);
    this.#sinceStop = [];
    return key;
  }

  /** Steps that may not be left out. */
  must(...steps: string[]): void {
    for (const step of steps) this.truth({ kind: 'must', step });
  }

  truth(truth: Truth): void {
    this.#pattern.truths.push(truth);
  }

  /** Tack-downs on a line take the thread of a stop that follows on it. */
  threadsLike(lineId: string, key: string): void {
    for (const stop of this.#pattern.expected) {
      if (stop.role !== 'tack-down' || !stop.lineIds.includes(lineId)) continue;
      stop.threadOf = key;
      Reflect.deleteProperty(this.#pattern.threads, stop.key);
    }
  }

  /** A thread of a hand step that goes with no stop of its own; steps name it `thread:KEY`. */
  ownThread(key: string, colour: DetailColour): void {
    this.#pattern.threads[key] = [colour];
  }

  /** The stop written last, whatever hooping it is in. */
  get lastStop(): string | null {
    return this.#lastStop;
  }

  /** What a file run in between waits for: the stop before it, and what hands did since. */
  get before(): string[] {
    return [...(this.#lastStop === null ? [] : [this.#lastStop]), ...this.#sinceStop];
  }

  /** What covers the surface or moves the hoop from now on waits for a step that was loose until then. */
  waitsFor(step: string): void {
    this.#sinceStop.push(step);
    this.#sinceMove.push(step);
  }

  /** Where a name goes. */
  nameGoes(after: string, pieceId: string, lineId: string): void {
    this.#pattern.name = { after, pieceId, lineId };
  }

  /**
   * The whole pattern; parts that are not written yet come in the order they were told.
   *
   * @throws RangeError when a step needs another that is not there, or two have one name
   */
  done(): Pattern {
    for (const key of this.#parts.keys()) if (!this.#movesBefore.has(key)) this.write(key);
    const { entries, truths } = this.#pattern;
    const known = namesOf(this.#pattern);
    for (const entry of entries)
      for (const need of entry.needs ?? [])
        if (!known.has(need)) throw new RangeError(`There is no step ${need}, which ${nameOf(entry)} names.`);
    for (const truth of truths)
      for (const step of stepsOfTruth(truth))
        if (!known.has(step)) throw new RangeError(`There is no step ${step}, which a truth names.`);
    return this.#pattern;
  }

  /**
   * The pattern as it was written, parts left out staying out: what needed a step of theirs does without.
   *
   * @throws RangeError when two steps have one name
   */
  composed(): Pattern {
    const known = namesOf(this.#pattern);
    const { hoopings } = this.#pattern;
    const ids = new Set(hoopings.map(({ id }) => id));
    const first = hoopings[0]?.id ?? FIRST;
    return {
      ...this.#pattern,
      // Steps of an item that hoops nothing yet belong somewhere all the same, those before all hoopings to the first.
      hoopings: hoopings.length > 0 ? hoopings : [{ id: FIRST, name: 'Hooping', hooped: [], mounting: 1 }],
      entries: this.#pattern.entries.map((entry) => ({
        ...entry,
        hoopingId: entry.hoopingId !== undefined && ids.has(entry.hoopingId) ? entry.hoopingId : first,
        needs: (entry.needs ?? []).filter((need) => known.has(need))
      })),
      truths: this.#pattern.truths.filter((truth) => stepsOfTruth(truth).every((step) => known.has(step)))
    };
  }

  #pathsOf(lineIds: string[]): Path[] {
    return lineIds.flatMap((id) => this.#pattern.lines.find((line) => line.id === id)?.path ?? []);
  }

  #turned(): boolean {
    const turns = this.#pattern.entries.filter(
      (entry) => entry.kind === 'hand' && entry.op.do === 'turn-over'
    );
    return turns.length % 2 === 1;
  }

  #entry(entry: PatternEntry): void {
    const needs = [...new Set(entry.needs)].filter(
      (need) => need !== (entry.kind === 'hand' ? entry.id : entry.key)
    );
    this.#pattern.entries.push({
      ...entry,
      needs,
      hoopingId: this.#hooping || FIRST,
      ...(this.#block !== undefined && { block: this.#block })
    });
  }
}
