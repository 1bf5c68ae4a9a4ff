import type { z } from 'zod';
import { stepDoes, traitsOf } from '$lib/core/craft/operations';
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
import { namesOf, stepsOfTruth } from './stepNames';
import type { StopPart } from './stopPart';

/** Steps before any hooping belong to the first. */
const FIRST = 'hooping-1';

/** Stitching that waits for what it lies on to be tacked down. */
const ON_TOP: readonly Role[] = ['decoration', 'lettering', 'quilting', 'satin-edge', 'applique-edge'];

/** Stops that take the thread of what is seen on their line. */
const HIDDEN_LINES: readonly Role[] = ['placement', 'tack-down'];

/**
 * Writes a construction down step by step. What a step needs follows from the order of the work: hand work waits for
 * the stop before it, a stop for the hand work before it, and the hoop moves one way at a time. Anything more is named.
 */
export class Sequence {
  readonly #pattern: Pattern;
  #hoopSoFar: HoopSoFar;
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
  #file: string | undefined;
  #block: string | undefined;

  /** The outline as it was asked for. */
  readonly shape: Outline;

  constructor({ shape, ...variant }: Pick<Variant, 'size' | 'finished' | 'edge'> & { shape: Outline }) {
    this.shape = shape;
    this.#pattern = emptyPattern({ shape: typeof shape === 'object' ? 'drawn' : shape, ...variant });
    this.#hoopSoFar = new HoopSoFar(this.#pattern);
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

  /** Stretches of a line that are left out on purpose. */
  leaveOut(id: string, gaps: Line['gaps']): void {
    this.#pattern.lines = this.#pattern.lines.map((line) =>
      line.id === id ? { ...line, gaps: [...line.gaps, ...gaps] } : line
    );
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

  /** Clamps pieces, from below up; the hoop lies on the table. */
  hoop(id: string, name: string, pieceIds: string[], { sticky = false, step = '' } = {}): void {
    this.#pattern.hoopings.push({ id, name, hooped: pieceIds, mounting: 1 });
    this.#hooping = id;
    this.hand(step || (id === FIRST ? 'hoop' : `hoop-${id}`), { do: 'hoop', pieceIds, sticky });
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
      ...(isWork && this.#lastMove && this.simulated.hoop.turned ? [this.#lastMove] : [])
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

  /** A hand step on what is not in the hoop yet: it is done before the hooping it is for begins. Gives its id. */
  prepare(id: string, op: z.input<typeof Operation>, note?: string): string {
    const { entries } = this.#pattern;
    const at = entries.findLastIndex((entry) => stepDoes(entry, 'clamp') !== null);
    const entry: PatternEntry = {
      kind: 'hand',
      id,
      op: Operation.parse(op),
      needs: [],
      hoopingId: this.#hooping || FIRST,
      ...(note !== undefined && { note }),
      ...(this.#block !== undefined && { block: this.#block })
    };
    entries.splice(at < 0 ? entries.length : at, 0, entry);
    // What was simulated comes after it now.
    this.#hoopSoFar = new HoopSoFar(this.#pattern);
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

  /** Placement and tack-down on a line take the thread of a stop that follows on it. */
  threadsLike(lineId: string, key: string): void {
    for (const stop of this.#pattern.expected) {
      if (stop.key === key || !HIDDEN_LINES.includes(stop.role) || !stop.lineIds.includes(lineId)) continue;
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

  /**
   * The pattern as it was written: what needed a step that was left out does without.
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
