import Papa from 'papaparse';
import type { PaperLine, Token } from './paper';

/** Marks that set cells apart in text. */
const MARKS = ['\t', ';', '|', ','] as const;
/** Cells of marked text stand in columns this far apart, in the unit of pasted text. */
const COLUMN = 100;

/**
 * The lines of text whose cells are set apart by marks, one reading for each mark that several lines agree about: tabs,
 * semicolons, bars (as in markdown) or commas. A quoted cell may hold marks and run over lines. Each cell is one token.
 *
 * @example
 * delimitedLines('1;placement;grey;120\n2;face;white;1500')[0]?.[1]?.cells.length // 4
 */
export function delimitedLines(text: string): PaperLine[][] {
  return MARKS.filter((mark) => agrees(text, mark)).map((mark) =>
    mark === '|' ? barLines(text) : parsedLines(text, mark)
  );
}

/** Whether at least two lines, one after the other, hold the same number of marks, two or more. */
function agrees(text: string, mark: string): boolean {
  const counts = text
    .split('\n')
    .slice(0, 2000)
    .map((line) => line.replace(/\d,\d{3}(?!\d)/g, '').split(mark).length - 1);
  return counts.some((count, at) => count >= 2 && counts[at + 1] === count);
}

function parsedLines(text: string, mark: string): PaperLine[] {
  const { data } = Papa.parse<string[]>(text, { delimiter: mark });
  let line = 1;
  return data.slice(0, 2000).map((cells) => {
    const from = line;
    line += 1 + cells.reduce((sum, cell) => sum + cell.split('\n').length - 1, 0);
    return lineOf(cells, from);
  });
}

/** Lines of a table drawn with bars; a bar behind a backslash is a letter of its cell, stars and ticks are dress. */
function barLines(text: string): PaperLine[] {
  return text.split('\n').map((content, at) => {
    const cells = content.split(/(?<!\\)\|/).map((cell) =>
      cell
        .replaceAll('\\|', '|')
        .trim()
        .replace(/^(\*\*|__|`|\*|_)(.+)\1$/, '$2')
    );
    if (cells[0] === '') cells.shift();
    if (cells.at(-1) === '') cells.pop();
    return lineOf(/^[\s|:-]*$/.test(content) ? [] : cells, at + 1);
  });
}

function lineOf(texts: string[], line: number): PaperLine {
  const tokens = texts.flatMap((raw, column): Token[] => {
    const text = raw.replace(/\s+/g, ' ').trim();
    return text === '' ? [] : [{ text, x: column * COLUMN, right: column * COLUMN + COLUMN / 2 }];
  });
  return {
    line,
    page: 0,
    y: line * 1.2,
    height: 1,
    tokens,
    cells: tokens.map(({ text, x, right }) => ({ text, x, width: right - x })),
    text: texts.join('  ').trim()
  };
}
