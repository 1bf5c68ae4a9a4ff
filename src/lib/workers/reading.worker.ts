import { type ChartReading, readChart, readPaper, type Said } from '$lib/core/reading/papers';
import type { Paper } from '$lib/core/reading/pages';
import { expose } from 'comlink';

const worker = {
  read: (source: string | Paper, said: Said): ChartReading =>
    typeof source === 'string' ? readChart(source, said) : readPaper(source, said)
};
export type ReadingWorker = typeof worker;

expose(worker);
