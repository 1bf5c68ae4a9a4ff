import TinyQueue from 'tinyqueue';
import type { BobbinChange, BobbinOptions, BobbinPlan, BobbinStop } from './types';

/** Lengths closer than this are one, m. */
const SAME = 1e-6;
/** States that are looked at before the best so far is taken. */
const MOST_STATES = 25_000;

interface Bobbin {
  colour: string;
  metres: number;
}

/** Once the search is broken off, a stop further counts more than any thread left behind, m. */
const FURTHER = 100_000;

interface Rated {
  rating: number;
  way: State;
}

/** The work at a point: so much of a stop done, a bobbin on, and others taken off. */
interface State {
  at: number;
  /** Metres of the stop that are stitched. */
  into: number;
  on: Bobbin | null;
  /** Bobbins taken off with thread on them. */
  off: Bobbin[];
  puts: number;
  from: State | null;
  change: BobbinChange | null;
}

/**
 * Finds a bobbin plan. The fewest bobbins follow from full ones alone, since one taken off never helps more than a full
 * one: that is computed exactly for every point. Among the plans with so few, the one that leaves least thread behind is
 * looked for best-first, rated by what surely stays behind.
 */
export class BobbinSearch {
  readonly #fewest = new Map<string, number>();
  readonly #colours: string[];

  constructor(
    readonly stops: readonly BobbinStop[],
    readonly options: BobbinOptions
  ) {
    this.#colours = [...new Set([options.usual, ...stops.flatMap(({ colour }) => colour ?? [])])];
  }

  best(): Pick<BobbinPlan, 'changes' | 'leftBehind' | 'proven'> {
    const { start = null } = this.options;
    const first: State = {
      at: 0,
      into: 0,
      on: start && { ...start },
      off: [],
      puts: 0,
      from: null,
      change: null
    };
    const budget = this.#putsFrom(0, 0, first.on);
    const seen = new Set<string>();
    // Of ways rated alike the furthest first, so that one is followed to its end.
    const open = new TinyQueue<Rated>([{ rating: 0, way: first }], (a, b) =>
      Math.abs(a.rating - b.rating) > SAME ? a.rating - b.rating : b.way.at - a.way.at
    );
    let looked = 0;
    for (let top = open.pop(); top; top = open.pop()) {
      const state = top.way;
      if (state.at >= this.stops.length)
        return { changes: changesOf(state), leftBehind: sum(state.off), proven: looked <= MOST_STATES };
      const key = keyOf(state, budget - state.puts);
      if (seen.has(key)) continue;
      seen.add(key);
      looked += 1;
      // When it would take too long, only what looks best is followed to its end.
      const rest = looked > MOST_STATES ? FURTHER : 0;
      for (const next of this.#steps(state)) {
        if (next.puts + this.#putsFrom(next.at, next.into, next.on) !== budget) continue;
        const rating = surelyLeft(next.off, budget - next.puts) - rest * next.at;
        open.push({ rating, way: next });
      }
    }
    return { changes: [], leftBehind: 0, proven: false };
  }

  /** What may come next: stitch on as far as the bobbin goes, or put another on. */
  #steps(state: State): State[] {
    const { at, into, on } = state;
    const stop = this.stops[at];
    if (!stop) return [];
    const steps: State[] = [];
    const end = this.#stitched(at, into, on);
    if (end && on) {
      const left = { ...on, metres: end.left };
      steps.push({ ...state, at: end.at, into: end.into, on: left, from: state, change: null });
    }
    // A bobbin is changed before a stop, or inside one where it has run out.
    if (into > 0 && on && on.metres > SAME) return steps;
    for (const bobbin of this.#toPutOn(state)) {
      const taken = on && on.metres > SAME ? [on] : [];
      const off = [...state.off.filter((each) => each !== bobbin.again), ...taken];
      const { colour, metres } = bobbin;
      steps.push({
        at,
        into,
        on: { colour, metres },
        off,
        puts: state.puts + 1,
        from: state,
        change: { at, into, colour, metres, full: bobbin.again === null, leaves: on?.metres ?? null }
      });
    }
    return steps;
  }

  #toPutOn({ at, off, on }: Pick<State, 'at' | 'off' | 'on'>): (Bobbin & { again: Bobbin | null })[] {
    const wanted = this.stops[at]?.colour ?? null;
    const fits = (colour: string): boolean => wanted === null || wanted === colour;
    const full = this.#colours
      .filter(fits)
      .map((colour) => ({ colour, metres: this.options.capacity, again: null }))
      // Another full one of the same thread changes nothing.
      .filter(({ colour, metres }) => on?.colour !== colour || on.metres < metres - SAME);
    // A smaller one that came off may do, and the fullest be the last on, where nothing of it stays behind.
    const again = off.filter(
      ({ colour, metres }, index) =>
        fits(colour) &&
        !off
          .slice(0, index)
          .some((other) => other.colour === colour && Math.abs(other.metres - metres) <= SAME)
    );
    return [...full, ...again.map((bobbin) => ({ ...bobbin, again: bobbin }))];
  }

  /** Where stitching comes to with a bobbin: the end of the stop, or where it runs out; null where it may not. */
  #stitched(at: number, into: number, on: Bobbin | null): { at: number; into: number; left: number } | null {
    const stop = this.stops[at];
    if (!stop || !on || (stop.colour !== null && stop.colour !== on.colour)) return null;
    const needs = stop.metres - into;
    if (needs <= on.metres + SAME) return { at: at + 1, into: 0, left: Math.max(0, on.metres - needs) };
    if (on.metres <= SAME || this.#mayNotRunOut(stop)) return null;
    return { at, into: into + on.metres, left: 0 };
  }

  #mayNotRunOut(stop: BobbinStop): boolean {
    return stop.protected && stop.metres <= this.options.capacity + SAME;
  }

  /** Fewest bobbins put on from a point, all of them full. */
  #putsFrom(at: number, into: number, on: Bobbin | null): number {
    if (at >= this.stops.length) return 0;
    const key = `${at} ${rounded(into)} ${on ? `${on.colour} ${rounded(on.metres)}` : ''}`;
    const known = this.#fewest.get(key);
    if (known !== undefined) return known;
    let fewest = Infinity;
    const end = this.#stitched(at, into, on);
    if (end && on) fewest = this.#putsFrom(end.at, end.into, { ...on, metres: end.left });
    if (into === 0 || !on || on.metres <= SAME)
      for (const { colour, metres } of this.#toPutOn({ at, on, off: [] })) {
        const after = this.#stitched(at, into, { colour, metres });
        if (after)
          fewest = Math.min(fewest, 1 + this.#putsFrom(after.at, after.into, { colour, metres: after.left }));
      }
    this.#fewest.set(key, fewest);
    return fewest;
  }
}

/** What surely stays behind: all that is off but for as many as can go on again. */
function surelyLeft(off: readonly Bobbin[], again: number): number {
  const most = off.map(({ metres }) => metres).sort((a, b) => b - a);
  return most.slice(Math.max(0, again)).reduce((total, metres) => total + metres, 0);
}

const sum = (bobbins: readonly Bobbin[]): number => bobbins.reduce((total, { metres }) => total + metres, 0);
const rounded = (metres: number): number => Math.round(metres / SAME);

/** What tells one state from another; where no bobbin goes on any more, what is off stays behind and is rated already. */
function keyOf({ at, into, on, off, puts }: State, again: number): string {
  const live = again === 0 ? [] : off.map(({ colour, metres }) => `${colour} ${rounded(metres)}`).sort();
  return `${at} ${rounded(into)} ${on ? `${on.colour} ${rounded(on.metres)}` : ''} ${puts} ${live.join()}`;
}

function changesOf(state: State): BobbinChange[] {
  const changes: BobbinChange[] = [];
  for (let at: State | null = state; at; at = at.from) if (at.change) changes.unshift(at.change);
  return changes;
}
