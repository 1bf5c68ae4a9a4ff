import { cellLayoutOf, splitCells } from './cells';

/** A run of text on a page: left edge, baseline from the top, width and height of its type, all in one unit. */
export interface PaperWord {
  text: string;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A page of a maker’s paper, as text with positions. */
export interface Page {
  width: number;
  height: number;
  words: PaperWord[];
}

/** A chart or an instruction sheet: what a PDF holds as text. */
export interface Paper {
  pages: Page[];
}

/** Text that stands by itself on a line, with its place. */
export interface Cell {
  text: string;
  x: number;
  width: number;
}

/** A line of a paper. Lines are numbered from 1 over all pages. */
export interface PaperLine {
  line: number;
  page: number;
  y: number;
  /** Height of the type, in the unit of the positions. */
  height: number;
  cells: Cell[];
  text: string;
}

/** Share of the type’s height by which words of one line may differ in height. */
const SAME_LINE = 0.45;
/** A gap wider than this share of the type’s height sets cells apart; a blank is about a quarter. */
const CELL_GAP = 0.75;

/**
 * The lines of a paper from the top down, each with its cells from left to right.
 *
 * @example
 * linesOf({ pages: [{ width: 595, height: 842, words: [word('No', 50), word('Stitches', 200)] }] })[0]?.text
 * // 'No  Stitches'
 */
export function linesOf({ pages }: Paper): PaperLine[] {
  const lines: PaperLine[] = [];
  pages.forEach(({ words }, page) => {
    for (const row of rowsOf(words)) {
      const cells = cellsOf(row);
      if (cells.length === 0) continue;
      lines.push({
        line: lines.length + 1,
        page,
        y: row[0]?.y ?? 0,
        height: row[0]?.height ?? 1,
        cells,
        text: cells.map(({ text }) => text).join('  ')
      });
    }
  });
  return lines;
}

/** The text of a paper, line by line, as an item keeps it. */
export function textOf(paper: Paper): string {
  return linesOf(paper)
    .map(({ text }) => text)
    .join('\n');
}

/**
 * The lines of pasted text; cells are told apart by marks or by blanks, and stand where their first letter stands.
 */
export function linesOfText(lines: readonly string[]): PaperLine[] {
  const layout = cellLayoutOf([...lines]);
  return lines.map((content, at): PaperLine => {
    const texts = splitCells(content, layout);
    let from = 0;
    const cells = texts.map((text, column): Cell => {
      if (layout !== 'aligned') return { text, x: column * 30, width: 20 };
      const x = Math.max(from, content.indexOf(text, from));
      from = x + text.length;
      return { text, x, width: text.length };
    });
    return { line: at + 1, page: 0, y: at, height: 1, cells, text: content };
  });
}

/** Words that share a baseline, top row first, each row from left to right. */
function rowsOf(words: PaperWord[]): PaperWord[][] {
  const sorted = words
    .filter(({ text }) => text.trim() !== '')
    .sort((a, b) => a.y - b.y || a.x - b.x)
    .slice(0, MAX_WORDS);
  const rows: PaperWord[][] = [];
  for (const word of sorted) {
    const row = rows.at(-1);
    const first = row?.[0];
    if (row && first && Math.abs(first.y - word.y) <= SAME_LINE * Math.min(first.height, word.height))
      row.push(word);
    else rows.push([word]);
  }
  return rows.map((row) => row.sort((a, b) => a.x - b.x));
}

/** Words on a page beyond which it is no chart. */
const MAX_WORDS = 20_000;

function cellsOf(row: PaperWord[]): Cell[] {
  const cells: Cell[] = [];
  for (const { text, x, width, height } of row) {
    const last = cells.at(-1);
    const gap = last ? x - (last.x + last.width) : Infinity;
    const trimmed = text.trim();
    if (last && gap < CELL_GAP * height) {
      last.text += (gap > 0.08 * height || /^\s|\s$/.test(text) ? ' ' : '') + trimmed;
      last.width = Math.max(last.width, x + width - last.x);
    } else cells.push({ text: trimmed, x, width });
  }
  return cells.map((cell) => ({ ...cell, text: cell.text.replace(/\s+/g, ' ') }));
}
