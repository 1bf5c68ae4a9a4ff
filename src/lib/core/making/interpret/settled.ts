import type { Face } from '$lib/core/documents/item';

/** What the sheet leaves open and a reading settles: the face of each laying, by place of its action. */
export type Settled = ReadonlyMap<number, Face>;
