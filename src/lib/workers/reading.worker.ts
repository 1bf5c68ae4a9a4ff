import { type ChartReading, readChart, readPaper, type ReadRow, type Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import type { Face } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import { sentenceOf } from '$lib/core/craft/findings';
import type { Finding } from '$lib/core/making/checks';
import { type Appearance, appearance } from '$lib/core/making/appearance';
import { constructionOf, CONSTRUCTIONS } from '$lib/core/craft/constructions';
import { answersFor } from '$lib/core/reading/matching';
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

/** Questions whose outcomes are drawn. */
const MOST_DRAWN = 3;

function lookOf({ item }: Interpretation, shop: Shop): Appearance | null {
  const { trace, item: planned } = planAndTrace(item, undefined, shop);
  const last = trace.at(-1)?.state;
  return last ? appearance(last, planned) : null;
}

const worker = {
  answersFor: (kind: string, rows: ReadRow[], usual: Record<string, unknown>): Record<string, unknown> => {
    const construction = constructionOf(kind);
    return construction ? answersFor(construction, rows, usual) : {};
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
