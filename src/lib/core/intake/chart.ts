import type { ChartRow } from '$lib/core/item';
import { layoutOf, splitCells } from './cells';
import { readHeading, type Heading } from './heading';
import { readByHeading, readByShape, readTotal } from './readLine';
import { guessRole, type RoleGuess } from './roleGuess';

/** A row of a chart with the role it seems to have. */
export type ReadRow = ChartRow & RoleGuess;

/** Something about a line that the maker should see. The line itself is kept as it was. */
export interface ChartProblem {
  line: number;
  column: number;
  text: string;
  kind: 'not-understood' | 'doubt';
  message: string;
}

export interface ChartReading {
  rows: ReadRow[];
  problems: ChartProblem[];
  /** Stitches that a total line of the chart states. */
  statedStitches: number | null;
  /** Lines the maker set aside as no stops, as they stand. */
  setAside: { line: number; text: string }[];
}

/** A chart longer than this is no chart. */
export const MAX_CHART_CHARACTERS = 200_000;
const MAX_CHART_LINES = 2000;

/**
 * Reads a pasted colour chart: aligned text, CSV or TSV, with or without a heading. It never throws and
 * loses nothing: a line it does not understand comes back as a problem with its text.
 *
 * @param text the chart as pasted
 * @param setAside line numbers (from 1) that the maker says are no stops
 *
 * @example
 * readChart('1 placement grey 120 0.60 m').rows[0]
 * // { line: 1, number: 1, name: 'placement', colour: 'grey', stitches: 120, threadMetres: 0.6,
 * //   role: 'placement', confidence: 0.95 }
 */
export function readChart(text: string, setAside: readonly number[] = []): ChartReading {
  const reading: ChartReading = { rows: [], problems: [], statedStitches: null, setAside: [] };
  const lines = text.slice(0, MAX_CHART_CHARACTERS).split(/\r\n|\r|\n/);
  if (text.length > MAX_CHART_CHARACTERS || lines.length > MAX_CHART_LINES) {
    reading.problems.push({
      line: Math.min(lines.length, MAX_CHART_LINES),
      column: 1,
      text: '',
      kind: 'not-understood',
      message: `This is longer than a colour chart: only the first ${MAX_CHART_LINES} lines are read.`
    });
    lines.length = Math.min(lines.length, MAX_CHART_LINES);
  }
  const layout = layoutOf(lines);
  const rows: ChartRow[] = [];
  let heading: Heading | undefined;

  lines.forEach((content, index) => {
    const line = index + 1;
    if (content.trim() === '' || /^[\s\-=_|+:]+$/.test(content)) return;
    if (setAside.includes(line)) {
      reading.setAside.push({ line, text: content });
      return;
    }
    const cells = splitCells(content, layout);
    const asHeading = readHeading(cells);
    if (asHeading) {
      heading = asHeading;
      return;
    }
    const total = readTotal(cells);
    if (total !== undefined) {
      reading.statedStitches = total;
      return;
    }
    const found =
      (heading && cells.length >= 2 ? readByHeading(cells, heading) : undefined) ?? readByShape(cells);
    if (!found) {
      reading.problems.push({
        line,
        column: firstColumn(content),
        text: content,
        kind: 'not-understood',
        message: whyNot(cells)
      });
      return;
    }
    rows.push({ line, ...clipped(found.row) });
    for (const message of found.doubts) {
      reading.problems.push({ line, column: firstColumn(content), text: content, kind: 'doubt', message });
    }
  });

  const numbered = rows.filter(({ number }) => number !== null).length;
  if (numbered * 2 > rows.length) setUnnumberedAside(rows, reading, lines);

  reading.rows = rows.map((row, at) => ({
    ...row,
    ...guessRole(row.name, row.stitches, rows.length > 1 ? at / (rows.length - 1) : 0)
  }));
  reading.problems.push(...doubtsAcrossRows(rows, reading.statedStitches, lines));
  return reading;
}

/** In a chart that numbers its stops, a line without a number is a remark that happens to end in one. */
function setUnnumberedAside(rows: ChartRow[], reading: ChartReading, lines: string[]): void {
  for (const { line } of rows.filter(({ number }) => number === null)) {
    const text = lines[line - 1] ?? '';
    reading.problems = reading.problems.filter((problem) => problem.line !== line);
    reading.problems.push({
      line,
      column: firstColumn(text),
      text,
      kind: 'not-understood',
      message: 'The other rows have a stop number, this line has none. Put one in front if it is a stop.'
    });
    rows.splice(
      rows.findIndex((row) => row.line === line),
      1
    );
  }
}

/** Doubts that only several rows together show: numbers out of order or twice, a total that differs. */
function doubtsAcrossRows(rows: ChartRow[], stated: number | null, lines: string[]): ChartProblem[] {
  const found: ChartProblem[] = [];
  const doubt = (line: number, message: string): void => {
    const text = lines[line - 1] ?? '';
    found.push({ line, column: firstColumn(text), text, kind: 'doubt', message });
  };
  let highest = -1;
  for (const { line, number } of rows) {
    if (number === null) continue;
    if (number <= highest) doubt(line, `Stop ${number} comes after stop ${highest}: is the number right?`);
    highest = Math.max(highest, number);
  }
  const sum = rows.reduce((total, { stitches }) => total + (stitches ?? 0), 0);
  const last = rows.at(-1);
  if (stated !== null && last && stated !== sum) {
    doubt(
      last.line,
      `The chart states ${stated.toLocaleString('en')} stitches, its rows add up to ${sum.toLocaleString('en')}.`
    );
  }
  return found;
}

function whyNot(cells: string[]): string {
  const text = cells.join(' ');
  if (!/\d/.test(text)) return 'There is no stitch count in this line. Is it a heading or a note?';
  if (!/\p{L}/u.test(text)) return 'There is no name or colour in this line.';
  return 'This does not read as number, name, colour, stitches. Put the stitch count after the words.';
}

function clipped(row: Omit<ChartRow, 'line'>): Omit<ChartRow, 'line'> {
  return { ...row, name: row.name.slice(0, 200), colour: row.colour.slice(0, 120) };
}

function firstColumn(line: string): number {
  return line.length - line.trimStart().length + 1;
}
