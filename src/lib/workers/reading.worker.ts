import { type ChartReading, readChart, readPaper, type ReadRow, type Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import type { Face } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import { sentenceOf } from '$lib/core/craft/findings';
import type { Finding } from '$lib/core/making/checks';
import { type Appearance, appearance } from '$lib/core/making/appearance';
import { constructionOf, CONSTRUCTIONS } from '$lib/core/craft/constructions';
import {
  align,
  answersFor,
  assemble,
  type BuiltLike,
  Constructions,
  type PaperSays
} from '$lib/core/reading/matching';
import {
  interpret,
  type Interpretation,
  likeConstruction,
  type Likeness,
  type Papers
} from '$lib/core/making/interpret';
import { planAndTrace } from '$lib/core/making/plan';
import { expose } from 'comlink';

/** A sheet as an item, as the page shows it. */
export interface Interpreted extends Omit<Interpretation, 'findings'> {
  findings: { severity: Finding['severity']; stepId: string | null; text: string }[];
  /** How it looks in the end. */
  look: Appearance | null;
  /** The construction it comes out like, if any. */
  like: Likeness | null;
  /** How it would look with each answer to a question, by action. */
  outcomes: { action: number; up: Appearance | null; down: Appearance | null }[];
}

/** What a chart may be of, the likeliest first; those that one is asked to choose from with their picture. */
export type ToldLike = BuiltLike & { look: Appearance | null };

/** Surer than this the likeliest is taken, or so many times likelier than the next. */
const SURE = 0.7;
const CLEAR = 4;
/** So many are shown where it is not that sure. */
const SHOWN = 2;

let constructions: Constructions | undefined;

/** How an item would look that is made of a chart so. */
function lookAs(kind: string, rows: ReadRow[], shop: Shop): Appearance | null {
  const construction = constructionOf(kind);
  if (!construction) return null;
  const { defaults, patternOf } = construction;
  const made = patternOf({ ...defaults, ...answersFor(construction, rows, defaults) });
  if (!made.ok) return null;
  const { pattern, params } = made;
  const chart = { text: '', setAside: [], rows, alignment: align(rows, pattern.expected) };
  const about = { id: kind, name: kind, now: new Date(0).toISOString(), construction: kind, params };
  return lookOf({ item: assemble(pattern, { ...about, chart }) }, shop);
}

/** Questions whose outcomes are drawn. */
const MOST_DRAWN = 3;

function lookOf({ item }: Pick<Interpretation, 'item'>, shop: Shop): Appearance | null {
  const { trace, item: planned } = planAndTrace(item, undefined, shop);
  const last = trace.at(-1)?.state;
  return last ? appearance(last, planned) : null;
}

const worker = {
  answersFor: (kind: string, rows: ReadRow[], usual: Record<string, unknown>): Record<string, unknown> => {
    const construction = constructionOf(kind);
    return construction ? answersFor(construction, rows, usual) : {};
  },
  builtLike: (rows: ReadRow[], says: PaperSays, shop: Shop): ToldLike[] => {
    constructions ??= new Constructions(CONSTRUCTIONS.filter(({ kind }) => kind !== 'own'));
    const likely = constructions.builtLike(rows, says);
    const [first = 1, second = 0] = likely.map(({ chance }) => chance);
    const unsure = first < SURE && first < CLEAR * second;
    return likely.map((each, at) => ({
      ...each,
      look: unsure && at < SHOWN ? lookAs(each.kind, rows, shop) : null
    }));
  },
  read: (source: string | Paper, said: Said): ChartReading =>
    typeof source === 'string' ? readChart(source, said) : readPaper(source, said),
  // What an edit would do to a finding is a function, and stays here.
  interpret: (papers: Papers, shop: Shop, answers: ReadonlyMap<number, Face>): Interpreted => {
    const made = interpret(papers, shop, answers);
    const { findings, ...rest } = made;
    const look = lookOf(made, shop);
    return {
      ...rest,
      look,
      like: likeConstruction(made.item, CONSTRUCTIONS) ?? null,
      outcomes: made.questions.slice(0, MOST_DRAWN).map(({ action, taken }) => {
        // What was taken is drawn already.
        const other: Face = taken === 'up' ? 'down' : 'up';
        const turned = lookOf(interpret(papers, shop, new Map(answers).set(action, other)), shop);
        return { action, up: taken === 'up' ? look : turned, down: taken === 'up' ? turned : look };
      }),
      findings: findings.map(({ code, severity, stepId, values }) => ({
        severity,
        stepId,
        text: sentenceOf(code, values)
      }))
    };
  }
};
export type ReadingWorker = typeof worker;

expose(worker);
