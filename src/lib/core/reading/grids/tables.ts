import { median } from '$lib/core/base/units';
import type { PaperLine } from '$lib/core/reading/pages';
import { type Column, columnAt, columnsOf, keepsTo, withoutFragments } from './columns';
import { type Grid, type GridRecord, hasFigure, joined } from './grid';

/** Least white between columns, in heights of the type: narrow for tight tables, wide for loose ones. */
const GAPS = [0.3, 0.62, 0.95];
const PLAIN = [0.96, 1, 1.03];
/** Share of the lines that may reach across the white between two columns. */
const CROSSING = 0.08;
/** Candidate sets of rows that are looked at. */
const SETS = 8;
/** Lines above the first row in which headings are looked for. */
const HEAD_LINES = 4;

/**
 * Tables that may stand on a paper: lines whose figures stand under each other, and the columns that white parts them into.
 *
 * @param lines lines of one column of the paper, from the top down
 * @returns one grid for each set of rows and each width of white; the caller chooses
 *
 * @example
 * tablesOf(linesOfText(['1  grey   120', '2  white  900'])).some(({ records }) => records[1]?.cells[2] === '900') // true
 */
export function tablesOf(lines: readonly PaperLine[]): Grid[] {
  return [
    ...byCount(lines),
    ...rowSets(lines)
      .flatMap((rows) => GAPS.flatMap((gap) => tableOf(lines, rows, gap) ?? []))
      .flatMap((grid) => [grid, ...besideEachOther(grid)])
  ];
}

/** Lines of as many cells, told by wide blanks alone, wherever they stand: typed text that nobody aligned. */
function byCount(lines: readonly PaperLine[]): Grid[] {
  const counts = new Map<number, PaperLine[]>();
  for (const line of lines) {
    const count = line.cells.length;
    if (count >= 3 && line.height === 1 && hasFigure(line.text))
      counts.set(count, [...(counts.get(count) ?? []), line]);
  }
  const [most] = [...counts.values()].sort((a, b) => b.length - a.length);
  if (!most || most.length < 2) return [];
  const records = most.map((line): GridRecord => ({
    cells: line.cells.map(({ text }) => text),
    parts: [line]
  }));
  return [{ layout: 'table', headings: records[0]?.cells.map(() => '') ?? [], records, plain: 0.93 }];
}

/** Sets of lines that hold a figure at the same left edge, right edge or middle; the largest first. */
function rowSets(lines: readonly PaperLine[]): PaperLine[][] {
  const sets = new Map<string, PaperLine[]>();
  const edges = [
    (x: number, right: number): number => right,
    (x: number): number => x,
    (x: number, right: number): number => (x + right) / 2
  ];
  for (const edge of edges) {
    const found = lines
      .flatMap((line) =>
        line.tokens
          .filter(({ text }) => hasFigure(text))
          .map(({ x, right }) => ({ line, at: edge(x, right) }))
      )
      .sort((a, b) => a.at - b.at);
    for (let from = 0; from < found.length;) {
      let to = from + 1;
      while (to < found.length && near(found[to - 1], found[to])) to++;
      const own = new Set(found.slice(from, to).map(({ line }) => line));
      const rows = lines.filter((line) => own.has(line) && line.tokens.length > 1);
      if (rows.length >= 2) sets.set(rows.map(({ line, y }) => `${line}/${y}`).join(), rows);
      from = to;
    }
  }
  return [...sets.values()].sort((a, b) => b.length - a.length).slice(0, SETS);
}

function near(
  a: { line: PaperLine; at: number } | undefined,
  b: { line: PaperLine; at: number } | undefined
): boolean {
  return a !== undefined && b !== undefined && b.at - a.at <= 0.22 * Math.min(a.line.height, b.line.height);
}

/** The table of these rows, those left out that do not keep to its columns. */
function tableOf(lines: readonly PaperLine[], all: PaperLine[], gap: number): Grid | undefined {
  let rows = all;
  let columns: Column[] = [];
  for (let round = 0; round < 4; round++) {
    const height = median(
      rows.map((line) => line.height),
      1
    );
    const strict = columnsOf(rows, gap * height);
    // Where single lines reach across the white, it is found without them, and they are no rows.
    const loose = columnsOf(rows, gap * height, Math.floor(rows.length * CROSSING));
    columns = loose.length > strict.length ? loose : strict;
    const kept = rows.filter((line) => keepsTo(line, columns, 0.15 * height));
    if (kept.length === rows.length) break;
    rows = kept;
  }
  columns = withoutFragments(
    columns,
    rows,
    median(
      rows.map((line) => line.height),
      1
    )
  );
  if (rows.length < 2 || columns.length < 2) return undefined;
  const { headings, used } = headingsOf(lines, rows, columns);
  const records = rows.map((line): GridRecord => ({ cells: cellsIn([line], columns), parts: [line] }));
  runOn(lines, records, columns, used);
  return { layout: 'table', headings, records, heads: [...used], plain: PLAIN[GAPS.indexOf(gap)] ?? 1 };
}

function cellsIn(lines: readonly PaperLine[], columns: readonly Column[]): string[] {
  const cells = columns.map((): string[] => []);
  for (const { tokens } of lines) {
    const own = columns.map((): string[] => []);
    for (const token of tokens) own[columnAt(token, columns)]?.push(token.text);
    own.forEach((words, at) => {
      if (words.length > 0) cells[at]?.push(words.join(' '));
    });
  }
  return cells.map(joined);
}

/** What stands over the columns, in the lines above the first row and where it comes again on later pages. */
function headingsOf(
  lines: readonly PaperLine[],
  rows: readonly PaperLine[],
  columns: readonly Column[]
): { headings: string[]; used: Set<PaperLine> } {
  const [first] = rows;
  const at = first ? lines.indexOf(first) : 0;
  const height = first?.height ?? 1;
  const from = columns[0]?.from ?? 0;
  const to = columns.at(-1)?.to ?? 0;
  const above: PaperLine[] = [];
  let below = first;
  for (let line = at - 1; line >= Math.max(0, at - HEAD_LINES); line--) {
    const each = lines[line];
    if (!each || !below || each.page !== below.page || below.y - each.y > 3.2 * height) break;
    const inside = each.tokens.every(({ x, right }) => right > from - 6 * height && x < to + 6 * height);
    const spread = new Set(each.tokens.map((token) => columnAt(token, columns))).size;
    if (!inside || (spread < 2 && above.length === 0) || rows.includes(each)) break;
    // A line of facts above the heading has figures; a heading has none but in its units.
    if (each.tokens.filter(({ text }) => hasFigure(text)).length > 0) break;
    above.unshift(each);
    below = each;
  }
  const texts = new Set(above.map(({ text }) => text));
  return { headings: cellsIn(above, columns), used: new Set(lines.filter(({ text }) => texts.has(text))) };
}

/** Lines between the rows that only go on with a cell of the nearest row. */
function runOn(
  lines: readonly PaperLine[],
  records: GridRecord[],
  columns: readonly Column[],
  used: ReadonlySet<PaperLine>
): void {
  const rows = records.map(({ parts }) => parts[0]);
  const pitch = median(
    rows.flatMap((row, at) => {
      const next = rows[at + 1];
      return row && next && row.page === next.page ? [next.y - row.y] : [];
    }),
    1
  );
  const extra = records.map((): PaperLine[] => []);
  const figured = columns.map((_, at) => {
    const texts = records.map(({ cells }) => cells[at] ?? '').filter((text) => text !== '');
    return texts.filter((text) => !/\p{L}{3}/u.test(text) && hasFigure(text)).length > 0.6 * texts.length;
  });
  const first = rows[0]?.y ?? 0;
  for (const line of lines) {
    if (rows.includes(line) || used.has(line) || line.tokens.length === 0 || line.y < first - 2 * pitch)
      continue;
    const height = line.height;
    if (!keepsTo(line, columns, 0.15 * height)) continue;
    if (line.tokens.some((token) => hasFigure(token.text) && figured[columnAt(token, columns)])) continue;
    const filled = new Set(line.tokens.map((token) => columnAt(token, columns)));
    if (filled.size > 3) continue;
    const next = rows.findIndex((row) => row !== undefined && row.page === line.page && row.y > line.y);
    const last = rows.findLastIndex((row) => row !== undefined && row.page === line.page && row.y <= line.y);
    const above = last < 0 ? Infinity : line.y - (extra[last]?.at(-1)?.y ?? rows[last]?.y ?? 0);
    const below = next < 0 ? Infinity : (rows[next]?.y ?? 0) - line.y;
    const isInset = [...filled].every((at) => at > 0);
    const reach = isInset && filled.size <= 2 ? Math.min(1.05 * pitch, 1.5 * height) : 0.75 * pitch;
    if (Math.min(above, below) > Math.max(reach, 0)) continue;
    // Nearer to the row above where both are as far.
    extra[above <= below + 0.01 ? last : next]?.push(line);
  }
  records.forEach((record, at) => {
    const more = extra[at] ?? [];
    if (more.length === 0 || more.length > 4) return;
    record.parts = [...record.parts, ...more].sort((a, b) => a.y - b.y);
    record.cells = cellsIn(record.parts, columns);
  });
}

/** The same table twice or more beside each other, told by columns whose cells look alike in turn. */
function besideEachOther({ headings, records, ...grid }: Grid): Grid[] {
  const looks = headings.map((_, at) => {
    const texts = records.map(({ cells }) => cells[at] ?? '').filter((text) => text !== '');
    const share = (is: RegExp): number =>
      texts.filter((text) => is.test(text)).length / Math.max(1, texts.length);
    return [share(/\d/), share(/\p{L}{3}/u), share(/^\p{Lu}{0,3}[\s-]?\d+$/u)];
  });
  return [2, 3].flatMap((times): Grid[] => {
    const width = headings.length / times;
    if (!Number.isInteger(width) || width < 2) return [];
    const alike = looks.every((look, at) =>
      look.every((share, kind) => Math.abs(share - (looks[at % width]?.[kind] ?? 0)) < 0.35)
    );
    if (!alike) return [];
    const groups = Array.from({ length: times }, (_, group) =>
      records.flatMap(({ cells, parts }): GridRecord[] => {
        const own = cells.slice(group * width, group * width + width);
        return own.some((text) => text !== '') ? [{ cells: own, parts }] : [];
      })
    );
    return [{ ...grid, headings: headings.slice(0, width), records: groups.flat() }];
  });
}

/** Tables with one stop a column, told by lines that hold as many cells each; bands below each other go on. */
export function turnedTablesOf(lines: readonly PaperLine[]): Grid[] {
  const bands: PaperLine[][] = [];
  let usual = Infinity;
  for (const line of lines) {
    const band = bands.at(-1);
    const before = band?.at(-1);
    const step = before && line.page === before.page ? line.y - before.y : Infinity;
    if (band && step <= 1.35 * Math.min(usual, 2.2 * line.height)) {
      band.push(line);
      usual = Math.min(usual, step);
    } else {
      bands.push([line]);
      usual = Infinity;
    }
  }
  const whole = bands.filter((band) => band.length >= 3 && band.length <= 12);
  const sizes = [...new Set(whole.map((band) => band.length))];
  return sizes.flatMap((size) => {
    const made = whole.filter((band) => band.length === size).map(turned);
    if (!made.some((kinds) => kinds.some(({ records }) => records.length > 1))) return [];
    // The same kind of reading of every band: with its first cells as headings, or without, for each width of white.
    return Array.from({ length: Math.max(0, ...made.map((each) => each.length)) }, (_, kind) => {
      const own = made.flatMap((each) => each[kind] ?? []);
      return {
        layout: 'turned' as const,
        headings: own[0]?.headings ?? [],
        records: own.flatMap(({ records }) => records)
      };
    });
  });
}

function turned(band: readonly PaperLine[]): Grid[] {
  return GAPS.slice(1).flatMap((gap): Grid[] => {
    const height = median(
      band.map((line) => line.height),
      1
    );
    const columns = columnsOf(band, gap * height);
    const rows = band.map((line) => cellsIn([line], columns));
    const own = columns.slice(1).map((column, at): GridRecord => ({
      cells: rows.map((cells) => cells[at + 1] ?? ''),
      parts: band.flatMap((line) => {
        const tokens = line.tokens.filter((token) => columnAt(token, columns) === at + 1);
        return tokens.length > 0 ? [{ ...line, tokens }] : [];
      })
    }));
    const bare = columns.map((_, at): GridRecord => ({
      cells: rows.map((cells) => cells[at] ?? ''),
      parts: band.map((line) => ({
        ...line,
        tokens: line.tokens.filter((token) => columnAt(token, columns) === at)
      }))
    }));
    return [
      { layout: 'turned', headings: rows.map(([head = '']) => head), records: own },
      { layout: 'turned', headings: rows.map(() => ''), records: bare }
    ];
  });
}
