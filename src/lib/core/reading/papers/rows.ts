import { type Heading, readHeading } from './heading';
import { readStopNumber } from './numbers';
import type { Cell, PaperLine } from './paper';
import { readByShape } from './readLine';

/** Rows that share a line of the paper are told apart by this much in their line number. */
export const BESIDE = 10_000;

/** One stop’s cells, wherever on the paper they stood. */
export interface RowLine {
  /** First line of the paper it was read from. */
  line: number;
  /** Every line it was read from. */
  lines: number[];
  cells: string[];
  /** Where on the paper it stands. */
  place?: Place | undefined;
  /** Columns of the cells, where the paper names them. */
  heading?: Heading | undefined;
}

/** A box on a page, in the unit of its positions. */
export interface Place {
  page: number;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The box round cells of lines that stand on one page. */
export function placeOf(
  lines: readonly Pick<PaperLine, 'page' | 'y' | 'height' | 'cells'>[]
): Place | undefined {
  const [first] = lines;
  const cells = lines.filter(({ page }) => page === first?.page).flatMap((line) => line.cells);
  if (!first || cells.length === 0) return undefined;
  const x = Math.min(...cells.map((cell) => cell.x));
  const right = Math.max(...cells.map((cell) => cell.x + cell.width));
  const tops = lines.filter(({ page }) => page === first.page).map(({ y, height }) => y - height);
  const bottoms = lines.filter(({ page }) => page === first.page).map(({ y, height }) => y + height * 0.25);
  const y = Math.min(...tops);
  return { page: first.page, x, y, width: right - x, height: Math.max(...bottoms) - y };
}

/**
 * The lines of a table as rows: cells put under the heading they stand below, tables side by side read one after
 * another, a heading over two lines taken together, and a name that runs over into the next line joined.
 */
export function tableRows(lines: PaperLine[]): RowLine[] {
  return sideBySide(lines).flatMap(({ column, lines: own }) =>
    oneTable(own).map((row) => ({ ...row, line: row.line + column * BESIDE }))
  );
}

function oneTable(lines: PaperLine[]): RowLine[] {
  const rows: RowLine[] = [];
  let heading: Heading | undefined;
  let columns: Cell[] = [];
  let last: PaperLine | undefined;
  for (let at = 0; at < lines.length; at++) {
    const line = lines[at];
    if (!line) break;
    const own = headingAt(line, lines[at + 1]);
    if (own) {
      heading = own.heading;
      columns = own.columns;
      if (own.twoLines) at++;
      continue;
    }
    const { cells } = line;
    const texts = parted(cells.map(({ text }) => text));
    const whole = heading && texts.length === columns.length;
    const placed = heading && !whole ? underHeading(cells, columns) : texts;
    const before = rows.at(-1);
    const runsOn = heading && before && runsOnInto(cells, columns, heading);
    const near = last !== undefined && line.page === last.page && line.y - last.y <= 1.6 * line.height;
    if (runsOn !== undefined && runsOn !== false && near && isPositioned(line)) {
      before.cells[runsOn] = `${before.cells[runsOn] ?? ''} ${cells[0]?.text ?? ''}`.trim();
      before.lines.push(line.line);
    } else {
      rows.push({
        line: line.line,
        lines: [line.line],
        cells: placed,
        place: placeOf([line]),
        ...(heading && { heading })
      });
    }
    last = line;
  }
  return rows;
}

/** Text pasted without positions never runs on: there a line is a row. */
function isPositioned({ height }: PaperLine): boolean {
  return height > 1;
}

/** The column of a lone text that belongs to the row above, or false. */
function runsOnInto(cells: Cell[], columns: Cell[], { fields }: Heading): number | false {
  const [cell] = cells;
  if (cells.length !== 1 || !cell || /\d/.test(cell.text)) return false;
  const at = nearest(cell, columns);
  return fields[at] === 'name' || fields[at] === 'colour' ? at : false;
}

function headingAt(
  line: PaperLine,
  below: PaperLine | undefined
): { heading: Heading; columns: Cell[]; twoLines: boolean } | undefined {
  const one = readHeading(line.cells.map(({ text }) => text));
  const merged = below && !/\d/.test(below.text) ? mergedCells(line.cells, below.cells) : undefined;
  const two = merged && readHeading(merged.map(({ text }) => text));
  const known = (heading: Heading | undefined): number =>
    heading?.fields.filter((field) => field !== undefined).length ?? 0;
  if (two && merged && known(two) > known(one)) return { heading: two, columns: merged, twoLines: true };
  return one && { heading: one, columns: line.cells, twoLines: false };
}

/** The cells of a line with what stands below them joined, or undefined where something stands below nothing. */
function mergedCells(cells: Cell[], below: Cell[]): Cell[] | undefined {
  const merged = cells.map((cell) => ({ ...cell }));
  for (const cell of below) {
    const at = nearest(cell, cells);
    const over = merged[at];
    const original = cells[at];
    if (!over || !original || distance(cell, original) > 0) return undefined;
    over.text = `${over.text} ${cell.text}`;
    const right = Math.max(over.x + over.width, cell.x + cell.width);
    over.x = Math.min(over.x, cell.x);
    over.width = right - over.x;
  }
  return merged;
}

function underHeading(cells: Cell[], columns: Cell[]): string[] {
  const placed = columns.map(() => '');
  for (const cell of cells) {
    const at = nearest(cell, columns);
    placed[at] = `${placed[at] ?? ''} ${cell.text}`.trim();
  }
  return placed;
}

function nearest(cell: Cell, columns: Cell[]): number {
  let best = 0;
  let least = Infinity;
  columns.forEach((column, at) => {
    const apart = distance(cell, column);
    if (apart < least) {
      least = apart;
      best = at;
    }
  });
  return best;
}

/** Free space between two cells, or less than nothing by how much they overlap. */
function distance(a: Cell, b: Cell): number {
  return Math.max(a.x - (b.x + b.width), b.x - (a.x + a.width));
}

/** A line set with dashes or dots in its cells; a first cell that holds number and name together, `3. Face`, in two. */
function parted(whole: string[]): string[] {
  const dashed = whole.length === 1 ? (whole[0] ?? '').split(/\s+[-–—|·•/]\s+|\s*;\s+/) : whole;
  const cells = dashed.length >= 3 ? dashed : whole;
  const [first = '', ...rest] = cells;
  const found = /^((?:stop|step|no\.?|#)?\s*#?\d{1,3}\s*[.):])\s+(\p{L}.*)$/iu.exec(first);
  return found?.[1] && found[2] && rest.length > 0 ? [found[1], found[2], ...rest] : cells;
}

/** Tables that stand side by side, told by a heading that repeats, or by rows that hold two numbered stops. */
function sideBySide(lines: PaperLine[]): { column: number; lines: PaperLine[] }[] {
  const edges = repeatedHeading(lines) ?? doubledRows(lines);
  if (!edges) return [{ column: 0, lines }];
  const pages = [...new Set(lines.map(({ page }) => page))];
  return pages.flatMap((page) =>
    edges.map((from, column) => {
      const until = edges[column + 1] ?? Infinity;
      const own = lines
        .filter((line) => line.page === page)
        .map((line) => ({ ...line, cells: line.cells.filter(({ x }) => x >= from && x < until) }))
        .filter(({ cells }) => cells.length > 0);
      return { column, lines: own };
    })
  );
}

/** Left edges of tables whose heading stands several times in one line. */
function repeatedHeading(lines: PaperLine[]): number[] | undefined {
  for (const { cells, height } of lines) {
    const first = cells[0]?.text.toLowerCase();
    const starts = cells.filter(({ text }) => text.toLowerCase() === first);
    if (starts.length < 2) continue;
    const width = starts[1] ? cells.indexOf(starts[1]) : 0;
    if (readHeading(cells.slice(0, width).map(({ text }) => text)) === undefined) continue;
    return starts.map(({ x }, at) => (at === 0 ? -Infinity : x - 2 * height));
  }
  return undefined;
}

/** The edge between two tables without a heading: most lines read as two numbered stops, parted at one place. */
function doubledRows(lines: PaperLine[]): number[] | undefined {
  const edges: number[] = [];
  for (const { cells, height } of lines) {
    const texts = cells.map(({ text }) => text);
    const at = texts.findIndex(
      (text, place) =>
        place >= 3 &&
        readStopNumber(text) !== undefined &&
        isNumbered(texts.slice(0, place)) &&
        isNumbered(texts.slice(place))
    );
    const cell = cells[at];
    if (cell) edges.push(cell.x - 2 * height);
  }
  if (edges.length < 2 || edges.length * 2 < lines.length) return undefined;
  return [-Infinity, Math.min(...edges)];
}

function isNumbered(cells: string[]): boolean {
  const row = readByShape(cells)?.row;
  return row !== undefined && row.number !== null && cells.length >= 3;
}
