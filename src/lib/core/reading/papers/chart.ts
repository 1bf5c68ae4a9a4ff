import type { ChartRow, Stitched } from '$lib/core/documents/item';
import type { RoleGuess } from '$lib/core/reading/evidence';
import {
  delimitedLines,
  linesOf,
  linesOfText,
  type Paper,
  type PaperLine,
  type Place,
  placeOf,
  rewritten
} from '$lib/core/reading/pages';
import { readSheet, type SheetReading } from '$lib/core/reading/sheets';
import { bestCandidate, type Candidate, type KnownLayout } from './candidates';
import { columnsOf, type ReadColumn, type ReadLayout } from './columns';
import { isSummary, type PaperFacts, readFacts } from './facts';
import { type Instruction, readInstructions } from './instructions';
import { listsOf, type ReadList } from './lists';
import { withRoles } from './roles';
import { type MeaningGuess, threadMeaning } from './threadMeaning';
import { type ShownRow, timesShown } from './timesShown';
import { titleOf } from './title';

/** A row of a chart with the role it seems to have, and the lines of the paper it stood on. */
export type ReadRow = ChartRow &
  RoleGuess & {
    lines?: number[];
    /** How long the machine shows it takes, where the paper says minutes and no stitches, s. */
    seconds?: number;
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
  /** The columns of the paper; none where nothing is read as a chart. */
  columns: ReadColumn[];
  layout: ReadLayout | null;
  /** Sizes or files of their own on one paper; none where it holds one. */
  lists: ReadList[];
  problems: ChartProblem[];
  /** Numbered sentences of an instruction sheet on the same paper. */
  instructions: Instruction[];
  /** The instruction sheet on the paper as actions; null where it asks for nothing. */
  sheet: SheetReading | null;
  /** What the paper seems to be about. */
  title: string | null;
  /** What the paper says of the whole design. */
  facts: PaperFacts;
  /** Stitches that a total line of the chart states. */
  statedStitches: number | null;
  /** What its thread lengths seem to mean. */
  thread: MeaningGuess;
  /** Lines the maker set aside as no stops, as they stand. */
  setAside: { line: number; text: string }[];
}

/** What the maker says of a paper. */
export interface Said {
  /** Numbers of lines, from 1, that are no stops. */
  setAside?: readonly number[];
  /** Lines of a paper written anew, by number. */
  corrections?: Readonly<Record<number, string>>;
  /** Layouts that are settled, of houses or of this very paper. */
  layouts?: readonly KnownLayout[];
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
 * @param said what the maker says of it
 *
 * @example
 * readChart('1 placement grey 120 0.60 m').rows[0]
 * // { line: 1, lines: [1], number: 1, name: 'placement', colour: 'grey', stitches: 120, threadMetres: 0.6,
 * //   role: 'placement', confidence: 0.95 }
 */
export function readChart(text: string, said: Omit<Said, 'corrections'> = {}): ChartReading {
  const lines = text
    .slice(0, MAX_CHART_CHARACTERS)
    .replace(/^\ufeff/, '')
    .split(/\r\n|\r|\n/);
  const cut = text.length > MAX_CHART_CHARACTERS || lines.length > MAX_CHART_LINES;
  const some = lines.slice(0, MAX_CHART_LINES);
  return readLines([linesOfText(some), ...delimitedLines(some.join('\n'))], said, cut);
}

/** Reads a paper whose text has positions, as a PDF gives it, in the same way. */
export function readPaper(paper: Paper, said: Said = {}): ChartReading {
  const lines = linesOf(paper).map((line): PaperLine => {
    const text = said.corrections?.[line.line];
    return text === undefined ? line : rewritten(line, text);
  });
  return readLines([lines.slice(0, MAX_CHART_LINES)], said, lines.length > MAX_CHART_LINES);
}

function readLines(
  views: readonly PaperLine[][],
  { setAside = [], layouts = [] }: Said,
  cut: boolean
): ChartReading {
  const all = views[0] ?? [];
  const textOf = new Map(all.map(({ line, text }) => [line, text]));
  const problems: ChartProblem[] = [];
  const report = (line: number, kind: ChartProblem['kind'], message: string): void => {
    const text = textOf.get(line % BESIDE) ?? '';
    problems.push({ line, column: text.length - text.trimStart().length + 1, text, kind, message });
  };
  const aside = all.filter(({ line }) => setAside.includes(line)).map(({ line, text }) => ({ line, text }));
  const used = (lines: readonly PaperLine[]): PaperLine[] =>
    withoutFurniture(lines.filter(({ line, tokens }) => tokens.length > 0 && !setAside.includes(line)));
  const best = bestCandidate(views.map(used), layouts);
  const rows: ShownRow[] = best ? rowsOf(best) : timesShown(used(all));
  const kept = rows.filter(({ line }) => !setAside.includes(line));
  aside.push(
    ...rows
      .filter(({ line }) => setAside.includes(line))
      .map(({ line, number, name }) => ({ line, text: `${number ?? ''}  ${name}`.trim() }))
  );

  const taken = new Set(kept.flatMap(({ lines }) => lines));
  const filled = used(all).filter(({ text }) => !/^[\s\-=_|+:.·•*]+$/.test(text));
  const { instructions, rest } = readInstructions(filled.filter(({ line }) => !taken.has(line)));
  const heads = new Set(best?.grid.heads?.map(({ line }) => line));
  const lists = listsOf(
    kept,
    rest.filter(({ line }) => !heads.has(line)),
    kept.length === best?.fitted.rows.length
      ? best.fitted.columns.flatMap(({ field, texts }) => (field === null ? [texts] : []))
      : []
  );
  const sheet = sheetOn(
    filled.filter(({ line }) => !taken.has(line) && !heads.has(line)),
    rest
  );
  // A size to cut is none of the design.
  const cutLines = new Set(sheet?.pieces.map(({ line }) => line));
  const { facts, lines: factLines, doubts } = readFacts(rest, (line) => cutLines.has(line));
  if (lists.length === 0) for (const { line, message } of doubts) report(line, 'doubt', message);
  for (const { line, text } of rest)
    if (!factLines.has(line) && !heads.has(line) && !isSummary(text))
      report(line, 'not-understood', whyNot(text));
  const [first] = kept;
  if (best && first && !best.fitted.unitSeen) report(first.line, 'doubt', NO_UNIT);
  if (lists.length === 0)
    for (const { line, message } of doubtsAcrossRows(kept, facts)) report(line, 'doubt', message);
  for (const list of lists) {
    const own = kept.filter(({ line }) => list.lines.includes(line));
    for (const { line, message } of doubtsAcrossRows(own, list.facts)) report(line, 'doubt', message);
  }
  if (cut) {
    report(
      all.length,
      'not-understood',
      `This is longer than a colour chart: only the first ${MAX_CHART_LINES} lines are read.`
    );
  }
  const title = titleOf(
    rest.filter(({ line }) => !heads.has(line)),
    first?.line ?? Infinity
  );
  const guessed =
    lists.length === 0
      ? withRoles(kept, title)
      : lists.flatMap((list) =>
          withRoles(
            kept.filter(({ line }) => list.lines.includes(line)),
            title
          )
        );
  const { columns, layout } = best ? columnsOf(best) : { columns: [], layout: null };
  return {
    rows: guessed,
    columns,
    layout,
    lists,
    title,
    problems,
    instructions: sheet ? asInstructions(sheet) : instructions,
    sheet,
    facts,
    statedStitches: facts.stitches,
    thread: threadMeaning(guessed),
    setAside: aside
  };
}

/** What hands are asked for before a paper is an instruction sheet. */
const FEW_ACTIONS = 3;

function sheetOn(lines: readonly PaperLine[], outside: readonly PaperLine[]): SheetReading | null {
  const sheet = readSheet(lines, titleOf(outside, Infinity));
  return sheet.actions.length >= FEW_ACTIONS && sheet.stops.length > 0 ? sheet : null;
}

/** The steps of a sheet with numbers; one whose number is no figure takes its place. */
function asInstructions({ steps }: SheetReading): Instruction[] {
  return steps.map(({ number, parts }, at) => ({
    number: Number(/\d+/.exec(number ?? '')?.[0] ?? at + 1),
    text: parts.map(({ text }) => text).join(' '),
    lines: [...new Set(parts.flatMap(({ lines }) => lines))]
  }));
}

/** Rows that share a line of the paper are told apart by this much in their line number. */
const BESIDE = 10_000;
const NO_UNIT = 'The thread lengths name no unit; they are read as what fits their stitches best.';

/** The rows of a reading, with the lines they stood on; a chart that prints no numbers counts its stops in their order. */
function rowsOf({ grid, fitted }: Candidate): (ChartRow & { lines: number[]; place?: Place })[] {
  const seen = new Map<number, number>();
  const rows = fitted.rows.map(({ at, number, name, colour, stitches, metres }) => {
    const parts = grid.records[at]?.parts ?? [];
    const first = parts[0]?.line ?? 0;
    const beside = seen.get(first) ?? 0;
    seen.set(first, beside + 1);
    const place = placeOf(parts);
    return {
      line: first + beside * BESIDE,
      lines: [...new Set(parts.map(({ line }) => line))],
      ...(place && { place }),
      number,
      name: tidy(name).slice(0, 200),
      colour: tidy(colour).slice(0, 120),
      stitches,
      threadMetres: metres
    };
  });
  if (rows.every(({ number }) => number === null)) {
    // Cards without numbers are read line by line of the page, as words are.
    const ordered = grid.layout === 'cards' ? [...rows].sort((a, b) => down(a.place) - down(b.place)) : rows;
    return ordered.map((row, at) => ({ ...row, number: at + 1 }));
  }
  const numbers = rows.flatMap(({ number }) => (number === null ? [] : [number]));
  const sorts = grid.layout === 'cards' || grid.layout === 'turned' || seen.size < rows.length;
  return sorts && new Set(numbers).size === rows.length
    ? rows.sort((a, b) => (a.number ?? 0) - (b.number ?? 0))
    : rows;
}

/** How far down a paper a place is; those of one height from left to right. */
function down(place: Place | undefined): number {
  return place ? place.page * 1e7 + Math.round((place.y + place.height / 2) / 6) * 1e4 + place.x : 0;
}

/** Marks left over between words, as the dash of "Placement - 120". */
function tidy(text: string): string {
  return text.replace(/^[\s\-–—:,;.]+|[\s\-–—:,;]+$/g, '').replace(/\s+/g, ' ');
}

/** How many lines at the top and the foot of a page may be what every page repeats. */
const EDGE_LINES = 2;

/** Takes out what every page repeats once at its edge, and the numbers of pages; a heading is repeated for a reason. */
function withoutFurniture(all: PaperLine[]): PaperLine[] {
  const lines = all.filter(({ text }) => !/^\W*(?:page|sheet)\s*\d+(?:\s*(?:of|\/)\s*\d+)?\W*$/i.test(text));
  const pages = [...new Set(lines.map(({ page }) => page))];
  const edges = pages.flatMap((page) => {
    const own = lines.filter((line) => line.page === page);
    return own.filter((_, at) => at < EDGE_LINES || at >= own.length - EDGE_LINES);
  });
  const isRepeated = ({ text, cells, y }: PaperLine): boolean => {
    if (cells.length > 1 || /\d{2}/.test(text)) return false;
    const there = edges.filter((edge) => edge.text === text && Math.abs(edge.y - y) < 3);
    // Each page has it once: what one page says twice is said for a reason.
    const onPages = new Set(there.map(({ page }) => page)).size;
    return (
      onPages > 1 &&
      onPages === there.length &&
      lines.filter((line) => line.text === text).length === there.length
    );
  };
  return lines.filter((line) => !isRepeated(line));
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
