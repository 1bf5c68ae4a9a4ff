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
  /** Takes rows of any name, since all that the file stitches here is this. */
  takesAny: boolean;
  /** What one of several is called where no chart names it. */
  one: string;
  /** Whether the item is made without it, so that a chart need not have it. */
  optional: boolean;
  /** Hand steps between one row and the next, where it takes several; they thread and wind for the row they come before. */
  between: PatternEntry[];
  /** Only where a chart has it: nothing is stitched for it otherwise. */
  onlyCharted: boolean;
  /** Roles that a row may give it, since the file decides, as an outline that ends in satin. */
  asCharted: Role[];
  /** The stop whose row often holds this one too, as an outline holds the hole marks. */
  sharesRowOf?: string;
  /** Only where the row’s name says both. */
  sharesIfNamed?: boolean;
  /** The stop whose rows run again here, in another hooping. */
  again?: string;
  /** The file it is in, where the pattern has several. */
  file?: string;
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

interface EntryBase {
  /** Steps that come before. */
  needs?: string[];
  hoopingId?: string;
  /** The block or part it was written in. */
  block?: string;
}

/** One entry of a pattern: a stop by its key, or a hand step. */
export type PatternEntry =
  | (EntryBase & { kind: 'stop'; key: string })
  | (EntryBase & { kind: 'hand'; id: string; op: Operation; note?: string });

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

/** One of several files of a pattern; stops in each are numbered from 1. */
export interface PatternFile {
  key: string;
  name: string;
  /** Stops at its start that are not needed here. */
  skips: number;
}

/** What a construction makes of its parameters, before stops meet the chart. */
export interface Pattern {
  variant: Variant;
  hoopings: Hooping[];
  lines: Line[];
  pieces: Piece[];
  expected: ExpectedStop[];
  entries: PatternEntry[];
  /** Files it comes in, in the order of the work; one where there are none. */
  files: PatternFile[];
  /** Stops run as one, so that the file does not halt between its colours. */
  oneColour: boolean;
  /** Thread of each expected stop where there is no chart, by key; details take one each. */
  threads: Record<string, DetailColour[]>;
  truths: Truth[];
}

/** A pattern on which nothing is written yet. */
export function emptyPattern(variant: Pick<Variant, 'shape' | 'size' | 'finished' | 'edge'>): Pattern {
  return {
    variant: {
      id: 'variant-1',
      name: 'As drawn',
      overrides: {},
      lines: {},
      phases: {},
      pieces: {},
      ops: {},
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

/** An expected stop with the usual answers filled in. */
export function expectStop(
  part: Pick<ExpectedStop, 'key' | 'name' | 'role' | 'words'> & Partial<ExpectedStop>
): ExpectedStop {
  return {
    alsoRoles: [],
    repeats: false,
    takesAny: false,
    one: part.name,
    optional: false,
    between: [],
    onlyCharted: false,
    asCharted: [],
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

/**
 * Stitches of a bought satin edge by the millimetre: a run and two zigzag passes, then a satin at half the usual spacing,
 * 7.5 in all. Makers count 6 to 12.
 */
const EDGE_PASSES_PER_MM = 3;
const EDGE_SATIN_PER_MM = 4.5;
/** Careful people run what comes before the satin at this speed, stitches a minute. */
export const FIRST_PASS_SPM = 350;

/**
 * A satin edge along a path, mm, as it comes in a file that is bought: its first passes, then the satin.
 *
 * @param attended hands hold the edge down during the first passes
 *
 * @example
 * edgePhases(700, 5).map(({ stitches }) => stitches) // [2100, 3150]
 */
export function edgePhases(pathMm: number, width: number, attended = false): Phase[] {
  return [
    {
      stitches: Math.ceil(pathMm * EDGE_PASSES_PER_MM),
      length: Math.max(ZIGZAG_SPACING_MM, width * 0.7),
      width: width * 0.7,
      cap: FIRST_PASS_SPM,
      attended
    },
    { stitches: Math.ceil(pathMm * EDGE_SATIN_PER_MM), length: width, width, attended: false }
  ];
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
