import { type ChartReading, readChart, readPaper, type Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import type { Face } from '$lib/core/documents/item';
import type { Shop } from '$lib/core/documents/shop';
import { sentenceOf } from '$lib/core/craft/findings';
import type { Finding } from '$lib/core/making/checks';
import { interpret, type Interpretation, type Papers } from '$lib/core/making/interpret';
import { expose } from 'comlink';

/** A sheet as an item, as the page shows it. */
export interface Interpreted extends Omit<Interpretation, 'findings'> {
  findings: { severity: Finding['severity']; stepId: string | null; text: string }[];
}

const worker = {
  read: (source: string | Paper, said: Said): ChartReading =>
    typeof source === 'string' ? readChart(source, said) : readPaper(source, said),
  // What an edit would do to a finding is a function, and stays here.
  interpret: (papers: Papers, shop: Shop, answers: ReadonlyMap<number, Face>): Interpreted => {
    const { findings, ...rest } = interpret(papers, shop, answers);
    return {
      ...rest,
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
