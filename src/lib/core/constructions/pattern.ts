import type { Hooping, Line, Operation, Phase, Piece, Role, Stop, Variant } from '$lib/core/item';

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
    lineIds: [],
    estimate: [{ stitches: 0, attended: false }],
    ...part
  };
}

/** A phase of running stitch once or more along a path, mm; the count is an estimate. */
export function runningPhase(pathMm: number, passes = 1, length = 2.5): Phase {
  return { stitches: Math.ceil((pathMm * passes) / length), length, attended: false };
}
