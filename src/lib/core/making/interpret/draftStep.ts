import type { Operation } from '$lib/core/documents/item';

/** A step of a draft: from an action of the sheet, from a stop, or put in since no sheet says it. */
export interface DraftStep {
  id: string;
  op: Operation | { stop: string };
  /** Place of its action among those of the sheet; null for a stop and for what was put in. */
  action: number | null;
  sentence: number | null;
}
