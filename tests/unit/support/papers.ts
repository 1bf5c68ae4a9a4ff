import type { Paper, PaperWord } from '$lib/core/reading/pages';
import { readChart } from '$lib/core/reading/papers';

/** A word set 10 high; its width is what a plain type takes. */
export function word(text: string, x: number, y: number, height = 10): PaperWord {
  return { text, x, y, height, width: text.length * height * 0.5 };
}

/** A paper of one page for each list of words. */
export function paperOf(...pages: PaperWord[][]): Paper {
  return { pages: pages.map((words) => ({ width: 600, height: 800, words })) };
}

/** A row of a table, every cell at its column. */
export function setRow(columns: number[], cells: string[], y: number): PaperWord[] {
  return cells.flatMap((text, at) => (text === '' ? [] : [word(text, columns[at] ?? 0, y)]));
}

/** What a chart says of each stop, without what is guessed. */
export function stopsOf(text: string): unknown[] {
  return readChart(text).rows.map(({ number, name, colour, stitches, threadMetres }) => [
    number,
    name,
    colour,
    stitches,
    threadMetres
  ]);
}
