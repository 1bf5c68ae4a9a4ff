/** Every way of the grammar to set a chart. */
import type { Write } from './grammarCells';
import { cards, newspaper, table, turned, wrapped } from './grammarSheets';
import { fixedWidth, leaders, list, markdown, marked, prose } from './grammarTexts';

/** Layouts that have no place for headings. */
export const HEADLESS: readonly string[] = ['leaders', 'prose'];

export const GRAMMAR_LAYOUTS: Record<string, Write> = {
  table,
  'second table': table,
  wrapped,
  newspaper,
  cards,
  'second cards': cards,
  'fixed width': fixedWidth,
  leaders,
  list,
  prose,
  markdown,
  CSV: marked(','),
  semicolons: marked(';'),
  TSV: marked('\t'),
  turned
};
