import type { Learned } from '$lib/core/documents/shop';
import type { LoggedFaults } from '$lib/core/running/learning';
import type { NeedleTimes, RunSummary } from '$lib/core/running/runs';
import type { ItemSummary } from '$lib/core/making/summary';

/** Raised when a summary holds something else, so that all are made anew. */
export const SUMMARY_VERSION = 3;

/** A summary as it is stored: what it was made from, and what came of it. */
export interface StoredSummary {
  id: string;
  /** Changes when the item, its setup, the shop or this code does. */
  stamp: string;
  /** What a search looks in, in small letters: name, note, threads, materials. */
  words: string;
  summary: ItemSummary | null;
  /** Why there is none, in words for the maker; the item stays in the list all the same. */
  problem: string | null;
}

/** The last run that is over, and what it taught, in words. */
export interface LastRun {
  id: string;
  itemName: string;
  startedAt: string;
  finishedAt: string;
  lessons: string[];
}

/** What is computed once for all pages; `stamp` changes when what it is made from does. */
export type Computed =
  | { key: 'learned'; stamp: string; value: Learned }
  | { key: 'last-run'; stamp: string; value: LastRun | null }
  | { key: 'short'; stamp: string; value: string[] }
  | { key: 'bobbins'; stamp: string; value: number[] }
  | { key: 'faults'; stamp: string; value: LoggedFaults }
  | { key: 'needles'; stamp: string; value: NeedleTimes[] }
  | { key: 'troubled'; stamp: string; value: RunSummary[] };
