import type { AnyConstruction } from '$lib/core/craft/constructions';
import type { Pattern, Question } from '$lib/core/craft/sequence';
import type { ReadRow } from '$lib/core/reading/papers';
import { against, COUNTS, weighed } from './against';

/** What a paper says besides its rows. */
export interface PaperSays {
  title: string | null;
  size: Size | null;
}

/** mm. */
interface Size {
  width: number;
  height: number;
}

/** What a chart may be of. */
export interface BuiltLike {
  kind: string;
  /** How likely it is among all, 0 to 1. */
  chance: number;
}

/** What else is counted of a construction than how the rows go with its stops. */
export interface Beside {
  /** Words of the rows that its pieces and stops have, and those that only others’ have: a word few have says more. */
  own: number;
  strange: number;
  /** Whether the title says what such items are called. */
  titled: number;
  /** How far it is from its usual size: logarithm of the longer side, and of how slim it is. */
  size: number;
  slim: number;
  /** Places behind what is made most often, and whether it is answered as usual. */
  place: number;
  answered: number;
}

/**
 * What each counts, so that the chances hold: fitted to the 43 charts of other writers in the shared papers whose construction
 * can be told (31 right where each set is counted by a fit to the others).
 */
const BESIDE: Readonly<Beside> = {
  own: -0.3,
  strange: 1.5,
  titled: -4,
  size: 0.8,
  slim: 0.5,
  place: 0.1,
  answered: 0.05
};

/** A construction, answered one way. */
interface Way {
  answered: boolean;
  pattern: Pattern;
  words: ReadonlySet<string>;
}

/** So many of the likeliest are tried with their other answers too. */
const TRIED = 10;
/** How many at most are tried of what is counted. */
const MOST = 4;

/** What charts may be of. Other answers of a construction are made when a chart first asks for them. */
export class Constructions {
  readonly #all: readonly AnyConstruction[];
  readonly #usual = new Map<string, Way>();
  readonly #others = new Map<string, readonly Way[]>();
  readonly #weight: ReadonlyMap<string, number>;

  constructor(all: readonly AnyConstruction[]) {
    this.#all = all;
    const having = new Map<string, number>();
    for (const construction of all) {
      const way = wayOf(construction, {});
      if (!way) continue;
      this.#usual.set(construction.kind, way);
      for (const word of way.words) having.set(word, (having.get(word) ?? 0) + 1);
    }
    const most = Math.log(all.length);
    this.#weight = new Map([...having].map(([word, count]) => [word, Math.log(all.length / count) / most]));
  }

  /**
   * What a chart may be of, the likeliest first: by what its rows do, how many they are, what they are called, the paper’s title and
   * its size. What fits with another answer than the usual one counts as it fits then.
   *
   * @example
   * constructions.builtLike(rows, { title: 'Signal badge', size: null })[0]?.kind // 'patch'
   */
  builtLike(rows: readonly ReadRow[], says: PaperSays): BuiltLike[] {
    const weigh = this.#weigher(rows, says);
    const found = this.#all
      .flatMap((construction, place) => {
        const usual = this.#usual.get(construction.kind);
        return usual ? { construction, place, cost: weigh(construction, place, usual) } : [];
      })
      .sort((a, b) => a.cost - b.cost)
      .map(({ construction, place, cost }, rank) => ({
        kind: construction.kind,
        cost:
          rank < TRIED
            ? Math.min(cost, ...this.#othersOf(construction).map((way) => weigh(construction, place, way)))
            : cost
      }))
      .sort((a, b) => a.cost - b.cost);
    const least = found[0]?.cost ?? 0;
    const sum = found.reduce((all, { cost }) => all + Math.exp(least - cost), 0);
    return found.map(({ kind, cost }) => ({ kind, chance: Math.exp(least - cost) / sum }));
  }

  /** Weighs a way: the lower, the likelier. */
  #weigher(
    rows: readonly ReadRow[],
    { title, size }: PaperSays
  ): (construction: AnyConstruction, place: number, way: Way) => number {
    const titled = stems(title ?? '');
    const said = [...new Set(rows.flatMap(({ name }) => stems(name)))];
    const words = (own: boolean, way: Way): number =>
      said.reduce((sum, word) => sum + (way.words.has(word) === own ? (this.#weight.get(word) ?? 0) : 0), 0);
    return ({ name, called }, place, way) => {
      const beside: Beside = {
        own: words(true, way),
        strange: words(false, way),
        titled: [...called, name].flatMap(stems).some((word) => titled.includes(word)) ? 1 : 0,
        ...sized(size, way.pattern.variant.size),
        place,
        answered: way.answered ? 1 : 0
      };
      return weighed(against(rows, way.pattern), COUNTS) + weighed(beside, BESIDE);
    };
  }

  #othersOf(construction: AnyConstruction): readonly Way[] {
    const { kind, questions, defaults } = construction;
    const known = this.#others.get(kind);
    if (known) return known;
    const made = questions.flatMap((question) =>
      fewAnswers(question, MOST).flatMap((value) =>
        value === defaults[question.key] ? [] : (wayOf(construction, { [question.key]: value }) ?? [])
      )
    );
    this.#others.set(kind, made);
    return made;
  }
}

/** The answers of a question that has few: its choices, or how many. */
export function fewAnswers(question: Question, most: number): unknown[] {
  if (question.kind === 'choice') return question.options.map(({ value }) => value);
  return question.kind === 'number' ? Array.from({ length: most }, (_, at) => at + 1) : [];
}

function wayOf({ defaults, patternOf }: AnyConstruction, answers: Record<string, unknown>): Way | null {
  const made = patternOf({ ...defaults, ...answers });
  if (!made.ok) return null;
  const { pattern } = made;
  const names = [...pattern.pieces, ...pattern.expected].flatMap((each) => stems(each.name));
  return { answered: Object.keys(answers).length > 0, pattern, words: new Set(names) };
}

function sized(own: Size | null, usual: Size): Pick<Beside, 'size' | 'slim'> {
  if (!own) return { size: 0, slim: 0 };
  const long = ({ width, height }: Size): number => Math.max(width, height);
  const slim = (size: Size): number => long(size) / Math.min(size.width, size.height);
  return {
    size: Math.abs(Math.log(long(own) / long(usual))),
    slim: Math.abs(Math.log(slim(own) / slim(usual)))
  };
}

/** Words without the ends that number and case give them. */
function stems(text: string): string[] {
  return (text.toLowerCase().match(/\p{L}{3,}/gu) ?? []).map((word) =>
    word.replace(/(?:ies|es|s|ing|ed)$/, '')
  );
}
