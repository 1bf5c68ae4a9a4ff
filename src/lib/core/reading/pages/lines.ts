import { median } from '$lib/core/base/units';
import { cellsOf, type Paper, type PaperLine, type PaperWord, type Token } from './paper';

/** Share of the type’s height by which words of one line may differ in height. */
const SAME_LINE = 0.45;
/** Pieces nearer than this share of the type’s height are one word that the file wrote in parts. */
const SAME_WORD = 0.14;
/** Words on a page beyond which it is no chart. */
const MAX_WORDS = 20_000;

/**
 * The lines of a paper from the top down, each with its words from left to right, put together by their places: the order in
 * which a file writes them says nothing.
 *
 * @example
 * linesOf({ pages: [{ width: 595, height: 842, words: [word('No', 50), word('Stitches', 200)] }] })[0]?.text
 * // 'No  Stitches'
 */
export function linesOf({ pages }: Paper): PaperLine[] {
  const lines: PaperLine[] = [];
  pages.forEach(({ words }, page) => {
    for (const row of rowsOf(words)) {
      const height = median(
        row.map((word) => word.height),
        1
      );
      const tokens = tokensOf(row);
      if (tokens.length === 0) continue;
      const cells = cellsOf(tokens, height);
      lines.push({
        line: lines.length + 1,
        page,
        y: row[0]?.y ?? 0,
        height,
        tokens,
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

/** A letter of pasted text is this wide where its line is 1 high; the next line stands this much lower. */
const LETTER = 0.6;
const LINE = 1.2;

/**
 * The lines of pasted text, each letter as wide as the next: words stand where they would on a typed page. Dots that lead
 * from one column to the next are blanks.
 */
export function linesOfText(lines: readonly string[]): PaperLine[] {
  return lines.map((content, at): PaperLine => {
    const tokens = [...expandTabs(content).matchAll(/\S+/g)]
      .filter(([text]) => !isLeader(text))
      .map(({ 0: text, index }): Token => {
        const bare = text.replace(LEADING, (dots) => ' '.repeat(dots.length));
        const from = index + (bare.length - bare.trimStart().length);
        return { text: bare.trim(), x: from * LETTER, right: (from + bare.trim().length) * LETTER };
      });
    return {
      line: at + 1,
      page: 0,
      y: at * LINE,
      height: 1,
      tokens,
      cells: cellsOf(tokens, 1),
      text: content
    };
  });
}

const LEADING = /^[.·_…]{3,}|[.·_…]{3,}$/g;

/** Dots, lines and dashes that only lead the eye. */
function isLeader(text: string): boolean {
  return /^[.·_…]+$/.test(text) || /^[-–—=]{3,}$/.test(text);
}

function expandTabs(text: string): string {
  let out = '';
  for (const letter of text) out += letter === '\t' ? ' '.repeat(Math.max(2, 8 - (out.length % 8))) : letter;
  return out;
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

/** The words of a row: runs taken apart at their blanks, parts of one word put together. */
function tokensOf(row: PaperWord[]): Token[] {
  const tokens: Token[] = [];
  let endsOpen = false;
  for (const { text, x, width, height, font } of row) {
    const each = width / Math.max(1, text.length);
    for (const { 0: word, index } of text.matchAll(/[^\s\u00a0]+/g)) {
      const from = x + index * each;
      const last = tokens.at(-1);
      const joins = endsOpen && index === 0 && last && from - last.right < SAME_WORD * height;
      endsOpen = index + word.length === text.length;
      if (joins) {
        last.text += word;
        last.right = Math.max(last.right, from + word.length * each);
      } else if (!isLeader(word))
        tokens.push({
          text: word,
          x: from,
          right: from + word.length * each,
          height,
          ...(font !== undefined && { font })
        });
      else endsOpen = false;
    }
  }
  return tokens
    .map((token) => ({ ...token, text: token.text.replace(LEADING, '') }))
    .filter(({ text }) => text !== '');
}
