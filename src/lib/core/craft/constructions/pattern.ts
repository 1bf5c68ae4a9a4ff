import type {
  Hooping,
  Line,
  MaterialKind,
  Operation,
  Phase,
  Piece,
  Role,
  Stop,
  Variant
} from '$lib/core/documents/item';
import { SATIN_SPACING_MM, ZIGZAG_SPACING_MM } from '$lib/core/stitching/stitches';

/** A stop that a construction waits for. A chart’s rows are put on these. */
export interface ExpectedStop {
  key: string;
  name: string;
  role: Role;
  /** Other roles whose rows may stand here too. */
  alsoRoles: Role[];
  /** Words of a chart that name this stop. */
  words: RegExp;
  /** Takes several rows, one a colour, as details do. */
  repeats: boolean;
  /** What one of several is called where no chart names it. */
  one: string;
  /** Whether the item is made without it, so that a chart need not have it. */
  optional: boolean;
  /** The stop whose row often holds this one too, as an outline holds the hole marks. */
  sharesRowOf?: string;
  /** The stop whose thread stays on for this one, since its own colour is never seen or must match. */
  threadOf?: string;
  visible: Stop['visible'];
  protected: boolean;
  /** Goes through every layer on purpose. */
  through: boolean;
  lineIds: string[];
  /** Parts stitched when there is no chart: estimated counts. */
  estimate: Phase[];
}

/** One entry of a pattern: a stop by its key, or a hand step. */
export type PatternEntry =
  | { kind: 'stop'; key: string; needs?: string[]; hoopingId?: string }
  | { kind: 'hand'; id: string; op: Operation; needs?: string[]; note?: string; hoopingId?: string };

/** A detail colour that the maker names where there is no chart. */
export interface DetailColour {
  name: string;
  colour: string;
}

/**
 * What must hold for the item to come out right, as the construction itself knows it. Nothing in the checks reads
 * this: it is what the checks are measured against.
 */
export type Truth =
  /** The step may not be left out. */
  | { kind: 'must'; step: string }
  /** What is laid in the step must be held until it is stitched. */
  | { kind: 'held'; step: string }
  /** The hooped material carries the stitches: only these kinds will do, in at least so many layers. */
  | { kind: 'stabiliser'; pieceId: string; kinds: MaterialKind[]; plies: number }
  /** The stops are seen on one line, so they take one thread. */
  | { kind: 'one-colour'; steps: string[] };

/** What a construction makes of its parameters, before stops meet the chart. */
export interface Pattern {
  variant: Variant;
  hoopings: Hooping[];
  lines: Line[];
  pieces: Piece[];
  expected: ExpectedStop[];
  entries: PatternEntry[];
  /** Thread of each expected stop where there is no chart, by key; details take one each. */
  threads: Record<string, DetailColour[]>;
  truths: Truth[];
  /** Where the craft puts a name: after this entry, on this piece, inside this line. */
  name?: { after: string; pieceId: string; lineId: string };
}

/** An expected stop with the usual answers filled in. */
export function expectStop(
  part: Pick<ExpectedStop, 'key' | 'name' | 'role' | 'words'> & Partial<ExpectedStop>
): ExpectedStop {
  return {
    alsoRoles: [],
    repeats: false,
    one: part.name,
    optional: false,
    visible: 'unknown',
    protected: false,
    through: false,
    lineIds: [],
    estimate: [{ stitches: 0, attended: false }],
    ...part
  };
}

/** A phase of running stitch once or more along a path, mm; the count is an estimate. */
export function runningPhase(pathMm: number, passes = 1, length = 2.5): Phase {
  return { stitches: Math.ceil((pathMm * passes) / length), length, attended: false };
}

/** A satin column along a path, mm; the count is an estimate. */
export function satinPhase(pathMm: number, width: number): Phase {
  return { stitches: Math.ceil(pathMm / SATIN_SPACING_MM), length: width, width, attended: false };
}

/** Blanket stitch along a path, mm: at every 2.5 mm a bite there and back; the count is an estimate. */
export function blanketPhase(pathMm: number, bite: number): Phase {
  return {
    stitches: Math.ceil((pathMm / 2.5) * 3),
    length: bite,
    width: bite,
    stitch: 'blanket',
    attended: false
  };
}

/** A zigzag pass along a path, mm; the count is an estimate. */
export function zigzagPhase(pathMm: number, width: number): Phase {
  return {
    stitches: Math.ceil(pathMm / ZIGZAG_SPACING_MM),
    length: Math.max(ZIGZAG_SPACING_MM, width),
    width,
    attended: false
  };
}

/** Fill over an area, mm²; the count is an estimate. */
export function fillPhase(areaMm2: number, perMm2 = 0.5): Phase {
  return { stitches: Math.ceil(areaMm2 * perMm2), attended: false };
}
