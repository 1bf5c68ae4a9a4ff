import type { z } from 'zod';
import { traitsOf } from '$lib/core/craft/operations';
import { type Outline, type Path, pathArea, pathLength } from '$lib/core/base/geometry';
import {
  type Hooping,
  type Line,
  type Material,
  Operation,
  type Phase,
  type Piece,
  type PieceUse,
  type Role,
  type Variant
} from '$lib/core/documents/item';
import {
  type DetailColour,
  type ExpectedStop,
  expectStop,
  fillPhase,
  type Pattern,
  type PatternEntry,
  runningPhase,
  edgePhases,
  satinPhase,
  type Truth,
  zigzagPhase
} from './pattern';

/** A stop as a construction writes it down: what it does, in the words a chart uses, along which lines. */
export type StopPart = Pick<ExpectedStop, 'name' | 'role' | 'words'> &
  Partial<ExpectedStop> & {
    /** Times along the line; running stitch. */
    passes?: number;
    /** Width of satin or zigzag, mm. */
    width?: number;
    thread?: DetailColour | DetailColour[];
  };

/** A stop in one line: its name, role, the words a chart uses, its lines, and what else there is to say. */
export function stopPart(
  name: string,
  role: Role,
  words: RegExp,
  lineIds: string[],
  more: Partial<StopPart> = {}
): StopPart {
  return { name, role, words, lineIds, ...more };
}

/** Steps before any hooping belong to the first. */
const FIRST = 'hooping-1';

/** Stitching that waits for what it lies on to be tacked down. */
const ON_TOP: readonly Role[] = ['decoration', 'lettering', 'quilting', 'satin-edge', 'applique-edge'];
const nameOf = (entry: PatternEntry): string => (entry.kind === 'hand' ? entry.id : entry.key);

/**
 * Writes a construction down step by step. What a step needs follows from the order of the work: hand work waits for
 * the stop before it, a stop for the hand work before it, and the hoop moves one way at a time. Anything more is named.
 */
export class Sequence {
  readonly #pattern: Pattern;
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

  constructor({ shape, ...variant }: Pick<Variant, 'size' | 'finished' | 'edge'> & { shape: Outline }) {
    this.#pattern = {
      variant: {
        id: 'variant-1',
        name: 'As drawn',
        overrides: {},
        lines: {},
        phases: {},
        pieces: {},
        ops: {},
        shape: typeof shape === 'object' ? 'drawn' : shape,
        ...variant
      },
      hoopings: [],
      lines: [],
      pieces: [],
      expected: [],
      entries: [],
      files: [],
      oneColour: false,
      threads: {},
      truths: []
    };
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

  /** Clamps pieces, from below up, and puts the hoop on the machine. */
  hoop(id: string, name: string, pieceIds: string[], { sticky = false, on = true } = {}): void {
    const hooping: Hooping = { id, name, hooped: pieceIds, mounting: 1 };
    this.#pattern.hoopings.push(hooping);
    this.#hooping = id;
    this.hand(id === 'hooping-1' ? 'hoop' : `hoop-${id}`, { do: 'hoop', pieceIds, sticky });
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

  /** All stops of the file run as one. */
  oneColour(): void {
    this.#pattern.oneColour = true;
  }

  /** A hand step; gives its id. */
  hand(id: string, op: z.input<typeof Operation>, more: { needs?: string[]; note?: string } = {}): string {
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
    if (parsed.do === 'flip' || parsed.do === 'topping-on') this.must(id);
    return id;
  }

  /** A stop of the file; gives its key. */
  stop(key: string, part: StopPart, needs: string[] = []): string {
    const { passes = 1, width, thread, ...rest } = part;
    const estimate = rest.estimate ?? this.#estimate(rest.role, rest.lineIds ?? [], passes, width);
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

  /** Where a name goes. */
  nameGoes(after: string, pieceId: string, lineId: string): void {
    this.#pattern.name = { after, pieceId, lineId };
  }

  /**
   * The whole pattern.
   *
   * @throws RangeError when a step needs another that is not there, or two have one name
   */
  done(): Pattern {
    const { entries, truths } = this.#pattern;
    const names = entries.map(nameOf);
    const known = new Set(names);
    if (known.size < names.length)
      throw new RangeError(`Two steps are called ${names.find((name, at) => names.indexOf(name) < at)}.`);
    const named = [
      ...entries.flatMap((entry) => (entry.needs ?? []).map((need) => [nameOf(entry), need] as const)),
      ...truths.flatMap((truth) =>
        ('steps' in truth ? truth.steps : 'step' in truth ? [truth.step] : []).map(
          (step) => ['a truth', step] as const
        )
      )
    ];
    for (const [who, need] of named)
      if (!known.has(need)) throw new RangeError(`There is no step ${need}, which ${who} names.`);
    return this.#pattern;
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
    this.#pattern.entries.push({ ...entry, needs, hoopingId: this.#hooping || FIRST });
  }

  #estimate(role: Role, lineIds: string[], passes: number, width: number | undefined): Phase[] {
    const paths = lineIds.flatMap((id) => this.#pattern.lines.find((line) => line.id === id)?.path ?? []);
    const along = paths.reduce((sum, path) => sum + pathLength(path), 0);
    const area = paths.reduce((sum, path) => sum + pathArea(path), 0);
    if (role === 'bars') return [satinPhase(along, width ?? 4)];
    if (role === 'satin-edge' || role === 'applique-edge') return edgePhases(along, width ?? 4);
    if (width !== undefined) return [zigzagPhase(along, width)];
    if (role === 'decoration' || role === 'lettering' || role === 'lace') return [fillPhase(area)];
    return [runningPhase(along, passes)];
  }
}
