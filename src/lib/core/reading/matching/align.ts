import type { ExpectedStop } from '$lib/core/craft/sequence';
import type { Role } from '$lib/core/documents/item';
import type { ReadRow } from '$lib/core/reading/papers';

/** A match made by the maker’s own hand: this row is these expected stops; none means an extra stop. */
export interface FixedMatch {
  line: number;
  keys: string[];
}

/** What one row of the chart turned out to be. */
export interface RowMatch {
  line: number;
  /** Expected stops the row stands for, in the order of the construction; empty for an extra stop. */
  keys: string[];
  fixed: boolean;
}

export interface Alignment {
  matches: RowMatch[];
  /** Expected stops that no row stands for. */
  missing: string[];
  /** Sum of likeness, less what is left out on either side. */
  score: number;
  /** Matches of the maker that could not be kept, since they would turn the chart’s order round. */
  dropped: FixedMatch[];
}

/** Likeness of a match made by hand: nothing outweighs it. */
const BY_HAND = 100;
/** What another role counts against a match, and where the stop takes whatever comes. */
const UNLIKE = 2.5;
const UNLIKE_BUT_TAKEN = 0.3;
/** Likeness of a row that is called as the stop is, and what the same number in both names adds. */
const CALLED_SO = 4.5;
const NUMBERED = 0.4;
const EXTRA = -0.6;
const MISSING = -2;
const MISSING_OPTIONAL = -0.2;
const SHARED = -0.1;

/**
 * Puts the rows of a chart on the stops a construction expects, so that the chart’s order is kept and the
 * sum of likeness is greatest (a sequence alignment by dynamic programming, after Needleman and Wunsch,
 * with two more moves: a repeating stop takes a further row, and a stop may share the row before it).
 *
 * @param rows rows in chart order
 * @param all expected stops in the order of the construction
 * @param fixed matches made by hand; they stay as they are
 *
 * @example
 * align(readChart('1 placement grey 120').rows, pattern.expected).missing // ['tack-down', 'outline', …]
 */
export function align(rows: ReadRow[], all: ExpectedStop[], fixed: FixedMatch[] = []): Alignment {
  // What runs the rows of another stop again has none of its own, unless the chart names it.
  const isNamed = ({ name }: ExpectedStop): boolean => rows.some((row) => isCalled(row, name));
  const expected = all.filter((stop) => stop.again === undefined || isNamed(stop));
  const order = new Map(expected.map(({ key }, at) => [key, at]));
  const { kept, dropped } = withoutCrossings(rows, fixed, order);
  const fixedByLine = new Map(kept.map((match) => [match.line, match]));
  const primaryOf = new Map(kept.flatMap(({ line, keys }) => (keys[0] ? [[keys[0], line] as const] : [])));
  // Further stops of a row matched by hand are settled; the search need not place them.
  const settled = new Set(kept.flatMap(({ keys }) => keys.slice(1)).filter((key) => !primaryOf.has(key)));
  const open = expected.filter(({ key }) => !settled.has(key));

  const { keys: found, score } = search(
    rows,
    open,
    (row, stop) => {
      const own = fixedByLine.get(row.line);
      if (own) return own.keys[0] === stop.key ? BY_HAND : -Infinity;
      if (!stop.repeats && primaryOf.has(stop.key)) return -Infinity;
      return likeness(row, stop);
    },
    (row) => {
      const own = fixedByLine.get(row.line);
      if (!own) return EXTRA;
      return own.keys.length === 0 ? BY_HAND : -Infinity;
    },
    (row, stop, last) => {
      // A row matched by hand stands for exactly what the maker said.
      const own = fixedByLine.get(row.line);
      if (own || primaryOf.has(stop.key)) return -Infinity;
      // One that names both is as like as the one it is liker to.
      const both = [stop, last].every(({ words }) => words.test(saidIn(row)));
      if (stop.sharesIfNamed && !both) return -Infinity;
      return SHARED + (both ? Math.max(0, likeness(row, stop) - likeness(row, last)) : 0);
    }
  );

  const matches = rows.map((row, at): RowMatch => {
    const own = fixedByLine.get(row.line);
    return { line: row.line, keys: own ? own.keys : (found[at] ?? []), fixed: own !== undefined };
  });
  const taken = new Set(matches.flatMap(({ keys }) => keys));
  const missing = expected.filter(
    ({ key, onlyCharted, again }) => !onlyCharted && again === undefined && !taken.has(key)
  );
  return { matches, missing: missing.map(({ key }) => key), score, dropped };
}

/**
 * Rows in the order in which a construction needs them, numbered anew: a drawing’s groups lie as they were drawn, not as
 * they are stitched. Rows that suit no stop stay behind the row before them.
 */
export function inPatternOrder(rows: ReadRow[], expected: ExpectedStop[]): ReadRow[] {
  let last = -1;
  return rows
    .map((row) => {
      const scores = expected.map((stop) => likeness(row, stop));
      const best = Math.max(0, ...scores);
      if (best > 0) last = scores.indexOf(best);
      return { row, place: last };
    })
    .sort((a, b) => a.place - b.place)
    .map(({ row }, at) => ({ ...row, number: at + 1 }));
}

const saidIn = ({ name, colour }: ReadRow): string => `${name} ${colour}`.toLowerCase();

/** How well a row suits an expected stop: above 0 it does, below it does not. */
function likeness(row: ReadRow, stop: ExpectedStop): number {
  const text = saidIn(row);
  // Called the same, it is the same, whatever its words make others think of.
  if (isCalled(row, stop.name)) return CALLED_SO;
  let score = (stop.words.test(text) ? 1.5 : 0) + sameNumber(wordsOf(row.name), wordsOf(stop.name));
  if (row.role === stop.role) score += 3 * row.confidence;
  else if (stop.alsoRoles.includes(row.role)) score += 1.8 * row.confidence;
  else {
    score -= (stop.takesAny ? UNLIKE_BUT_TAKEN : UNLIKE) * row.confidence;
    if (isSeen(row.role) && isSomewhereUnder(stop)) score -= HIDDEN * Math.max(0, row.confidence - GUESSED);
  }
  return score;
}

/** What is stitched to be seen is no line that nobody will see, however well that line’s place is free. */
const HIDDEN = 6;
/** A role so unsure says nothing. */
const GUESSED = 0.3;

const isSeen = (role: Role): boolean => SEEN.includes(role);
const SEEN: readonly Role[] = [
  'decoration',
  'lettering',
  'quilting',
  'applique-edge',
  'satin-edge',
  'lace',
  'bars'
];
const isSomewhereUnder = ({ role, asCharted }: ExpectedStop): boolean =>
  LINES.includes(role) && asCharted.length === 0;
const LINES: readonly Role[] = [
  'placement',
  'tack-down',
  'cut-line',
  'join-seam',
  'closing-seam',
  'centre-mark',
  'closure-mark',
  'basting'
];

const wordsOf = (name: string): string[] => name.toLowerCase().match(/[a-z]+|\d+/g) ?? [];

/** Whether a row has the very name of a stop. */
function isCalled(row: ReadRow, name: string): boolean {
  const own = wordsOf(row.name).join(' ');
  return own !== '' && own === wordsOf(name).join(' ');
}

/** Of things that are told apart by a number the row is the one with its own. */
function sameNumber(own: readonly string[], called: readonly string[]): number {
  const [mine, its] = [own, called].map((words) => words.find((word) => /^\d+$/.test(word)));
  return mine === undefined || its === undefined ? 0 : mine === its ? NUMBERED : -NUMBERED;
}

/** Keeps, in chart order, every match by hand that does not turn the order of another round. */
function withoutCrossings(
  rows: ReadRow[],
  fixed: FixedMatch[],
  order: Map<string, number>
): { kept: FixedMatch[]; dropped: FixedMatch[] } {
  const place = new Map(rows.map(({ line }, at) => [line, at]));
  const kept: FixedMatch[] = [];
  const dropped: FixedMatch[] = [];
  let reached = -1;
  const known = fixed
    .filter(({ line }) => place.has(line))
    .map(({ line, keys }) => ({
      line,
      keys: keys.filter((key) => order.has(key)).sort((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0))
    }))
    .sort((a, b) => (place.get(a.line) ?? 0) - (place.get(b.line) ?? 0));
  for (const match of known) {
    const at = match.keys[0] === undefined ? reached : (order.get(match.keys[0]) ?? reached);
    if (at < reached) dropped.push(match);
    else {
      kept.push(match);
      reached = at;
    }
  }
  return { kept, dropped };
}

type Move = { from: [row: number, stop: number, state: State]; link?: [row: number, stop: number] };
/** 0: nothing stands open; 1: the last row is on the last stop; 2: that stop has a row, extras followed. */
type State = 0 | 1 | 2;
const STATES: readonly State[] = [0, 1, 2];

/** The best way through rows and stops; gives, for each row, the keys of its stops. */
function search(
  rows: ReadRow[],
  stops: ExpectedStop[],
  score: (row: ReadRow, stop: ExpectedStop) => number,
  extra: (row: ReadRow) => number,
  shared: (row: ReadRow, stop: ExpectedStop, last: ExpectedStop) => number
): { keys: string[][]; score: number } {
  const width = stops.length + 1;
  const cell = (row: number, stop: number, state: State): number => (row * width + stop) * 3 + state;
  const best = new Float64Array((rows.length + 1) * width * 3).fill(-Infinity);
  const moves = new Array<Move | undefined>(best.length);
  best[cell(0, 0, 0)] = 0;

  const offer = (row: number, stop: number, state: State, value: number, move: Move): void => {
    const at = cell(row, stop, state);
    if (value > (best[at] ?? -Infinity)) {
      best[at] = value;
      moves[at] = move;
    }
  };

  for (let i = 0; i <= rows.length; i++) {
    for (let j = 0; j <= stops.length; j++) {
      // Within one cell, sharing leads on along j only, so rows outer and stops inner visit every cell in order.
      for (const state of STATES) {
        const here = best[cell(i, j, state)] ?? -Infinity;
        if (here === -Infinity) continue;
        const from: Move['from'] = [i, j, state];
        const row = rows[i];
        const next = stops[j];
        const last = stops[j - 1];
        if (row && next) offer(i + 1, j + 1, 1, here + score(row, next), { from, link: [i, j] });
        if (row && last && state > 0) {
          const again = score(row, last);
          // Several rows on a stop that does not repeat: only where the maker said so.
          if (last.repeats || again >= BY_HAND) offer(i + 1, j, 1, here + again, { from, link: [i, j - 1] });
        }
        if (row) offer(i + 1, j, state === 0 ? 0 : 2, here + extra(row), { from });
        if (next) offer(i, j + 1, 0, here + (next.optional ? MISSING_OPTIONAL : MISSING), { from });
        const previous = rows[i - 1];
        if (next && previous && state === 1 && last && next.sharesRowOf === last.key) {
          offer(i, j + 1, 1, here + shared(previous, next, last), { from, link: [i - 1, j] });
        }
      }
    }
  }

  const keys: string[][] = rows.map(() => []);
  let at: Move['from'] = [rows.length, stops.length, 0];
  for (const state of STATES) {
    if ((best[cell(at[0], at[1], state)] ?? -Infinity) > (best[cell(...at)] ?? -Infinity))
      at = [at[0], at[1], state];
  }
  const most = best[cell(...at)] ?? 0;
  for (let move = moves[cell(...at)]; move; move = moves[cell(...move.from)]) {
    const [row, stop] = move.link ?? [];
    const key = stop === undefined ? undefined : stops[stop]?.key;
    if (row !== undefined && key !== undefined) keys[row]?.unshift(key);
  }
  return { keys, score: most };
}
