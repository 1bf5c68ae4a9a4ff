import type { ChartRow, Stitched } from '$lib/core/documents/item';
import { hasBlocks, readBlocks } from './blocks';
import { isSummary, type PaperFacts, readFacts } from './facts';
import { type Instruction, readInstructions } from './instructions';
import { linesOf, linesOfText, type Paper, type PaperLine } from './paper';
import { readByHeading, readByShape } from './readLine';
import { guessRole, type RoleGuess } from './roleGuess';
import { BESIDE, type Place, type RowLine, tableRows } from './rows';
import { type MeaningGuess, threadMeaning } from './threadMeaning';
import { turnedTables } from './turned';

/** A row of a chart with the role it seems to have, and the lines of the paper it stood on. */
export type ReadRow = ChartRow &
  RoleGuess & {
    lines?: number[];
    /** Where on the paper it stands. */
    place?: Place | undefined;
    /** Its stitches, where a drawing or a stitch list gave them. */
    stitched?: Stitched;
  };

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
  /** Numbered sentences of an instruction sheet on the same paper. */
  instructions: Instruction[];
  /** What the paper says of the whole design. */
  facts: PaperFacts;
  /** Stitches that a total line of the chart states. */
  statedStitches: number | null;
  /** What its thread lengths seem to mean. */
  thread: MeaningGuess;
  /** Lines the maker set aside as no stops, as they stand. */
  setAside: { line: number; text: string }[];
}

/** A chart longer than this is no chart. */
const MAX_CHART_CHARACTERS = 200_000;
const MAX_CHART_LINES = 2000;

/**
 * Reads a pasted paper, colour chart or instruction sheet: aligned text, CSV or TSV, with or without a heading, or
 * blocks of labelled lines. It never throws and loses nothing: a line it does not understand comes back as a problem
 * with its text.
 *
 * @param text the paper as pasted
 * @param setAside line numbers (from 1) that the maker says are no stops
 *
 * @example
 * readChart('1 placement grey 120 0.60 m').rows[0]
 * // { line: 1, lines: [1], number: 1, name: 'placement', colour: 'grey', stitches: 120, threadMetres: 0.6,
 * //   role: 'placement', confidence: 0.95 }
 */
export function readChart(text: string, setAside: readonly number[] = []): ChartReading {
  const lines = text.slice(0, MAX_CHART_CHARACTERS).split(/\r\n|\r|\n/);
  const cut = text.length > MAX_CHART_CHARACTERS || lines.length > MAX_CHART_LINES;
  return readLines(linesOfText(lines.slice(0, MAX_CHART_LINES)), setAside, cut);
}

/**
 * Reads a paper whose text has positions, as a PDF gives it, in the same way.
 *
 * @param corrections lines the maker has written anew, by number
 */
export function readPaper(
  paper: Paper,
  setAside: readonly number[] = [],
  corrections: Readonly<Record<number, string>> = {}
): ChartReading {
  const lines = linesOf(paper).map((line): PaperLine => {
    const text = corrections[line.line];
    const [corrected] = text === undefined ? [] : linesOfText([text]);
    return corrected ? { ...line, text: corrected.text, cells: corrected.cells } : line;
  });
  return readLines(lines.slice(0, MAX_CHART_LINES), setAside, lines.length > MAX_CHART_LINES);
}

function readLines(all: PaperLine[], setAside: readonly number[], cut: boolean): ChartReading {
  const textOf = new Map(all.map(({ line, text }) => [line, text]));
  const problems: ChartProblem[] = [];
  const report = (line: number, kind: ChartProblem['kind'], message: string): void => {
    const text = textOf.get(line % BESIDE) ?? '';
    problems.push({ line, column: text.length - text.trimStart().length + 1, text, kind, message });
  };
  const aside = all.filter(({ line }) => setAside.includes(line)).map(({ line, text }) => ({ line, text }));
  const filled = all.filter(
    ({ line, text, cells }) =>
      cells.length > 0 && !setAside.includes(line) && text.trim() !== '' && !/^[\s\-=_|+:.·•*]+$/.test(text)
  );
  const { instructions, rest } = readInstructions(withoutFurniture(filled));
  const body = rest.filter(({ text }) => !isSummary(text));
  const turned = turnedTables(body);
  const { rows: found, unread } =
    turned ?? (hasBlocks(body) ? readBlocks(body) : { rows: tableRows(body), unread: [] });

  const rows: (ChartRow & Pick<ReadRow, 'lines' | 'place'> & { lines: number[] })[] = [];
  const notRead: PaperLine[] = [...unread, ...rest.filter((line) => !body.includes(line))];
  for (const row of found) {
    if (setAside.includes(row.line)) {
      aside.push({ line: row.line, text: row.cells.join('  ') });
      continue;
    }
    const read = readRow(row);
    if (!read) {
      notRead.push(...rest.filter(({ line }) => row.lines.includes(line)));
      continue;
    }
    rows.push({
      line: row.line,
      lines: row.lines,
      ...(row.place && { place: row.place }),
      ...clipped(read.row)
    });
    for (const message of read.doubts) report(row.line, 'doubt', message);
  }

  const taken = new Set(rows.flatMap(({ lines }) => lines));
  const { facts, lines: factLines, doubts } = readFacts(rest, (line) => taken.has(line));
  for (const { line, message } of doubts) report(line, 'doubt', message);
  for (const line of notRead) {
    if (!factLines.has(line.line)) report(line.line, 'not-understood', whyNot(line.text));
  }

  const numbered = rows.filter(({ number }) => number !== null).length;
  if (numbered * 2 > rows.length) {
    for (const { line } of rows.filter(({ number }) => number === null)) {
      // In a chart that numbers its stops, a line without a number is a remark that happens to end in one.
      rows.splice(
        rows.findIndex((row) => row.line === line),
        1
      );
      problems.splice(0, problems.length, ...problems.filter((problem) => problem.line !== line));
      report(line, 'not-understood', NO_NUMBER);
    }
  }

  for (const { line, message } of doubtsAcrossRows(rows, facts)) report(line, 'doubt', message);
  if (cut) {
    report(
      all.length,
      'not-understood',
      `This is longer than a colour chart: only the first ${MAX_CHART_LINES} lines are read.`
    );
  }
  const guessed = withRoles(rows);
  return {
    rows: guessed,
    problems,
    instructions,
    facts,
    statedStitches: facts.stitches,
    thread: threadMeaning(guessed),
    setAside: aside
  };
}

/** Rows with the roles their words and their order suggest. */
function withRoles<Row extends ChartRow>(rows: Row[]): (Row & RoleGuess)[] {
  const guessed = rows.map((row, at) => ({
    ...row,
    ...guessRole(row.name, row.stitches, rows.length > 1 ? at / (rows.length - 1) : 0)
  }));
  const lastEdge = guessed.findLastIndex(({ role }) => role === 'satin-edge');
  // An edge with another edge after it closes a shape on the item, not the item; a border is always the item’s.
  return guessed.map((row, at) =>
    row.role === 'satin-edge' && at < lastEdge && !/\b(?:border|rim|merrow)\b/i.test(row.name)
      ? { ...row, role: 'applique-edge' as const, confidence: 0.6 }
      : row
  );
}

const NO_NUMBER = 'The other rows have a stop number, this line has none. Put one in front if it is a stop.';

function readRow({ cells, heading }: RowLine): ReturnType<typeof readByShape> {
  return (heading && cells.length >= 2 ? readByHeading(cells, heading) : undefined) ?? readByShape(cells);
}

/** Takes out what every page repeats, and the numbers of pages. */
function withoutFurniture(lines: PaperLine[]): PaperLine[] {
  const isPaged = lines.some(({ page }) => page > 0);
  const key = ({ text, y }: PaperLine): string => `${text} ${Math.round(y / 4)}`;
  const pagesOf = new Map<string, Set<number>>();
  for (const line of lines) pagesOf.set(key(line), (pagesOf.get(key(line)) ?? new Set()).add(line.page));
  return lines.filter(
    (line) =>
      !/^\W*(?:page|sheet)\s*\d+(?:\s*(?:of|\/)\s*\d+)?\W*$/i.test(line.text) &&
      (!isPaged || /\d{2}/.test(line.text) || (pagesOf.get(key(line))?.size ?? 0) < 2 || isHeadingLike(line))
  );
}

/** A heading is repeated on every page for a reason. */
function isHeadingLike({ cells }: PaperLine): boolean {
  return cells.length >= 2;
}

/** Doubts that only several rows together show: numbers out of order or twice, a total that differs. */
function doubtsAcrossRows(rows: ChartRow[], facts: PaperFacts): { line: number; message: string }[] {
  const found: { line: number; message: string }[] = [];
  let highest = -1;
  for (const { line, number } of rows) {
    if (number === null) continue;
    if (number <= highest)
      found.push({ line, message: `Stop ${number} comes after stop ${highest}: is the number right?` });
    highest = Math.max(highest, number);
  }
  const last = rows.at(-1);
  if (!last) return found;
  const say = (message: string): void => {
    found.push({ line: last.line, message });
  };
  const sum = rows.reduce((total, { stitches }) => total + (stitches ?? 0), 0);
  if (facts.stitches !== null && facts.stitches !== sum) {
    say(
      `The chart states ${facts.stitches.toLocaleString('en')} stitches, its rows add up to ${sum.toLocaleString('en')}.`
    );
  }
  if (facts.stops !== null && facts.stops !== rows.length)
    say(`The paper speaks of ${facts.stops} stops, ${rows.length} were read.`);
  const metres = rows.reduce((total, { threadMetres }) => total + (threadMetres ?? 0), 0);
  if (
    facts.threadMetres !== null &&
    metres > 0 &&
    Math.abs(facts.threadMetres - metres) > 0.02 * metres + 0.05
  ) {
    say(
      `The chart states ${facts.threadMetres.toFixed(2)} m of thread, its rows add up to ${metres.toFixed(2)} m.`
    );
  }
  return found;
}

function whyNot(text: string): string {
  if (!/\d/.test(text)) return 'There is no stitch count in this line. Is it a heading or a note?';
  if (!/\p{L}/u.test(text)) return 'There is no name or colour in this line.';
  return 'This does not read as number, name, colour, stitches. Put the stitch count after the words.';
}

function clipped(row: Omit<ChartRow, 'line'>): Omit<ChartRow, 'line'> {
  return { ...row, name: row.name.slice(0, 200), colour: row.colour.slice(0, 120) };
}
