import type { ReadRow } from '$lib/core/reading/papers';
import type { Alignment } from './align';

/** The chart an item is made from: the text as it was pasted, its rows and where they belong. */
export interface ChartInput {
  source?: { kind: 'pasted-chart' | 'pdf-chart' | 'drawing' | 'stitch-list'; name?: string };
  /** What its thread lengths mean, where the maker or the reader knows. */
  meaning?: 'used' | 'path';
  text: string;
  setAside: number[];
  rows: ReadRow[];
  alignment: Alignment;
  /** What the machine averages, stitches a minute: it turns minutes into counts. */
  pace?: number;
}

export interface AssembleInput {
  id: string;
  name: string;
  /** Time of making, ISO 8601. */
  now: string;
  construction: string;
  /** Whose design it is, where the maker says. */
  house?: string;
  params: Record<string, unknown>;
  chart?: ChartInput;
}
