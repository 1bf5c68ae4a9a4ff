import { isColourName } from './colour';
import { type Field, FIELDS } from './fields';
import { labelled } from './labels';
import { readStopNumber } from './numbers';
import type { Cell, PaperLine } from './paper';
import { readByShape } from './readLine';
import { BESIDE, placeOf, type RowLine } from './rows';

type Values = Partial<Record<Field, string>>;
interface Block {
  values: Values;
  lines: number[];
  page: number;
  column: number;
  parts: PaperLine[];
}

/** Whether stops stand in blocks of labelled values, rather than one to a line. */
export function hasBlocks(lines: PaperLine[]): boolean {
  let counts = 0;
  for (const { cells } of lines) {
    const found = labelledCells(cells).filter(({ field, value }) => field === 'stitches' && value !== '');
    if (found.length === 0) continue;
    // A row of a table may name its unit; a block has no number, name and count in one line.
    const whole = readByShape(cells.map(({ text }) => text))?.row;
    if (whole && whole.number !== null && found.length === 1 && !hasLabelInside(cells)) continue;
    counts += found.length;
  }
  return counts >= 2 || hasLabelsAbove(lines);
}

/** Whether labels stand above their values, once for every stop; a table has one heading for many. */
function hasLabelsAbove(lines: PaperLine[]): boolean {
  const bare = lines.filter(({ cells }) =>
    cells.some(({ text }) => {
      const label = labelled(text);
      return label?.field === 'stitches' && label.value === '';
    })
  ).length;
  const starts = lines.filter(({ cells }) => cells[0] && startOf(cells[0]) !== undefined).length;
  return bare >= 2 && starts <= bare + 1;
}

/** Reads every block into one line of cells, in the order of the stops’ numbers, or of the page where they have none. */
export function readBlocks(lines: PaperLine[]): { rows: RowLine[]; unread: PaperLine[] } {
  const starts = startsOf(lines);
  const columns = columnsOf(lines, starts);
  const blocks: Block[] = [];
  const used = new Set<number>();
  const pages = [...new Set(lines.map(({ page }) => page))];
  for (const page of pages) {
    columns.forEach((from, column) => {
      const until = columns[column + 1] ?? Infinity;
      let waiting: Field[] = [];
      for (const { line, cells } of columnLines(lines, page, from, until)) {
        if (cells.length === 0) continue;
        const read = readCells(cells, waiting, starts);
        waiting = read.waiting;
        for (const { field, value, start } of read.values) {
          let block = blocks.at(-1);
          const begins = start || (starts.first !== null && field === starts.first);
          if (begins || (field !== 'loose' && block?.values[field] !== undefined && field === 'number')) {
            block = { values: {}, lines: [], page, column, parts: [] };
            blocks.push(block);
          }
          if (!block || (field === 'loose' && block.page !== page)) continue;
          used.add(line.line);
          if (!block.lines.includes(line.line)) {
            block.lines.push(line.line);
            block.parts.push({ ...line, cells });
          }
          put(block.values, field, value);
        }
      }
    });
  }
  const whole = blocks.filter(({ values }) => values.stitches !== undefined);
  for (const { lines: numbers } of blocks.filter((block) => !whole.includes(block))) {
    for (const number of numbers) used.delete(number);
  }
  return { rows: inOrder(whole).map(asRow), unread: lines.filter(({ line }) => !used.has(line)) };
}

/** The lines of one column from the top down; a big number begins its block as high as its type reaches. */
function columnLines(
  lines: PaperLine[],
  page: number,
  from: number,
  until: number
): { line: PaperLine; cells: Cell[] }[] {
  return lines
    .filter((line) => line.page === page)
    .map((line) => {
      const cells = line.cells.filter(({ x }) => x >= from && x < until);
      const [first] = cells;
      const rises = first && startOf(first) && line.height > 1 ? 0.8 * line.height : 0;
      return { line, cells, top: line.y - rises };
    })
    .sort((a, b) => a.top - b.top);
}

interface Starts {
  /** Blocks begin with a number that stands by itself or in front of a name. */
  numbered: boolean;
  /** Without numbers, the field every block begins with. */
  first: Field | null;
}

function startsOf(lines: PaperLine[]): Starts {
  const cells = lines.flatMap((line) => line.cells);
  const numbered = cells.filter((cell) => startOf(cell) !== undefined).length >= 2;
  if (numbered) return { numbered, first: null };
  const fields = labelledCells(cells).map(({ field }) => field);
  const first = fields.find((field) => fields.filter((other) => other === field).length >= 2) ?? null;
  return { numbered, first };
}

/** A cell that begins a block: `Stop 3`, `3`, `#3`, `3. Face`, `Stop 3: Face`. */
function startOf({ text }: Cell): { number: string; rest: string } | undefined {
  const found =
    /^(?:(?:colou?r\s+)?stop|step|no\.?|nr\.?)\s*#?\s*(\d{1,3})\s*(?:[.):,–-]\s*(.*))?$/i.exec(text) ??
    /^#?(\d{1,3})[.)]?$/.exec(text) ??
    /^#?(\d{1,3})\s*[.):–-]\s+(\p{L}.*)$/u.exec(text) ??
    /^(\d{1,3})\s+(\p{L}{3,}.*)$/u.exec(text);
  if (found?.[1] === undefined || labelled(text)?.field === 'stitches') return undefined;
  return { number: found[1], rest: found[2] ?? '' };
}

/** Left edges of the columns in which blocks stand. */
function columnsOf(lines: PaperLine[], starts: Starts): number[] {
  const height = lines[0]?.height ?? 1;
  const begins = (cell: Cell): boolean =>
    starts.numbered ? startOf(cell) !== undefined : labelled(cell.text)?.field === starts.first;
  const edges = lines
    .flatMap(({ cells }) => {
      // A lone number further right is a value, unless the whole line numbers blocks.
      const numbersBlocks = cells[0] !== undefined && begins(cells[0]);
      return cells
        .filter((cell) => begins(cell) && (numbersBlocks || /\D/.test(cell.text)))
        .map(({ x }) => x);
    })
    .sort((a, b) => a - b);
  const columns: number[] = [];
  let last = -Infinity;
  for (const x of edges) {
    if (x - last > 4 * height) columns.push(x - 1.5 * height);
    last = x;
  }
  if (columns.length > 0) columns[0] = -Infinity;
  return columns.length === 0 ? [-Infinity] : columns;
}

interface Read {
  field: Field | 'loose';
  value: string;
  start: boolean;
}

/** The values of one line of a column; labels whose values stand in the line below are handed on. */
function readCells(cells: Cell[], waiting: Field[], starts: Starts): { values: Read[]; waiting: Field[] } {
  const values: Read[] = [];
  const bare: Field[] = [];
  const queue = [...waiting];
  for (const cell of cells) {
    const { text } = cell;
    const start = queue.length === 0 && bare.length === 0 && starts.numbered ? startOf(cell) : undefined;
    if (start) {
      values.push({ field: 'number', value: start.number, start: true });
      if (start.rest !== '') values.push(...loose(start.rest));
      continue;
    }
    const label = labelled(text);
    if (label && label.value !== '') values.push({ ...label, start: false });
    else if (label) bare.push(label.field);
    else {
      const field = bare.shift() ?? queue.shift();
      if (field) values.push({ field, value: text, start: false });
      else values.push(...loose(text));
    }
  }
  return { values, waiting: bare };
}

/** Text without a label: a list set with commas, or a name. */
function loose(text: string): Read[] {
  const parts = text.split(/\s*[,;|·•]\s+/).filter((part) => part !== '');
  // A name may hold a comma; a list has a value with its label in it.
  const isList = parts.some((part) => (labelled(part)?.value ?? '') !== '');
  return (isList ? parts : [text]).map((part): Read => {
    const label = labelled(part);
    return label && label.value !== ''
      ? { ...label, start: false }
      : { field: 'loose', value: part, start: false };
  });
}

function put(values: Values, field: Field | 'loose', value: string): void {
  if (field !== 'loose') {
    values[field] ??= value;
    return;
  }
  const last = values.colour;
  if (last !== undefined && /^[\w-]*\d[\w-]*$/.test(value)) values.code ??= value;
  else if (isColourName(value.replace(/\d+/g, '')) && last === undefined) values.colour = value;
  else if (values.name === undefined) values.name = value;
  else values.colour ??= value;
}

function inOrder(blocks: Block[]): Block[] {
  const numbers = blocks.map(({ values }) => readStopNumber(values.number ?? ''));
  if (new Set(numbers).size === blocks.length && !numbers.includes(undefined)) {
    return [...blocks].sort(
      (a, b) => (readStopNumber(a.values.number ?? '') ?? 0) - (readStopNumber(b.values.number ?? '') ?? 0)
    );
  }
  return blocks;
}

function asRow({ values, lines, column, parts }: Block): RowLine {
  const fields = FIELDS.filter((field) => values[field] !== undefined);
  return {
    line: (lines[0] ?? 1) + column * BESIDE,
    lines,
    place: placeOf(parts),
    cells: fields.map((field) => values[field] ?? ''),
    heading: { fields: [...fields], threadUnit: undefined }
  };
}

function labelledCells(cells: Cell[]): { field: Field; value: string }[] {
  return cells.flatMap(({ text }, at) => {
    const found = labelled(text);
    if (!found) return [];
    const next = cells[at + 1]?.text ?? '';
    // The value of a bare label stands in the next cell.
    return [found.value === '' && /^\d/.test(next) ? { ...found, value: next } : found];
  });
}

/** Whether a line holds a label in front of its value, as no row of a table does. */
function hasLabelInside(cells: Cell[]): boolean {
  return cells.some(({ text }) => /^(?:stitches|stitch count|sts)\s*[:=]?\s*\d/i.test(text));
}
