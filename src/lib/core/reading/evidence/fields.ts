import type { PaperField } from '$lib/core/documents/shop';

/** A column of a chart. */
export type Field = PaperField;
