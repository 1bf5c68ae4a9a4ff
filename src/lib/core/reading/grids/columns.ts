import type { PaperLine, Token } from '$lib/core/reading/pages';

/** A column of a table: from its left edge to its right one. */
export interface Column {
  from: number;
  to: number;
}

/**
 * The columns that lines share: what lies between the white that runs down through all of them.
 *
 * @param gap least width of that white, in the unit of the positions
 * @param most how many lines may reach across it: a footer, a remark
 *
 * @example
 * columnsOf(linesOfText(['1  grey   120', '2  white  900']), 0.7).length // 3
 */
export function columnsOf(lines: readonly PaperLine[], gap: number, most = 0): Column[] {
  const edges = lines
    .flatMap(({ tokens }) => tokens)
    .flatMap(({ x, right }) => [
      { at: x, by: 1 },
      { at: right, by: -1 }
    ])
    .sort((a, b) => a.at - b.at || b.by - a.by);
  const columns: Column[] = [];
  let depth = 0;
  let open: number | null = null;
  for (const { at, by } of edges) {
    depth += by;
    if (by > 0 && depth > most && open === null) open = at;
    else if (by < 0 && depth <= most && open !== null) {
      const last = columns.at(-1);
      if (last && open - last.to < gap) last.to = at;
      else columns.push({ from: open, to: at });
      open = null;
    }
  }
  return columns;
}

/** Which column a token stands in, or nearest to. */
export function columnAt({ x, right }: Pick<Token, 'x' | 'right'>, columns: readonly Column[]): number {
  let [best, least] = [0, Infinity];
  columns.forEach(({ from, to }, at) => {
    const apart = Math.max(x - to, from - right);
    if (apart < least) [best, least] = [at, apart];
  });
  return best;
}

/** Whether a line keeps out of the white between columns: each of its words stands in one. */
export function keepsTo({ tokens }: PaperLine, columns: readonly Column[], slack: number): boolean {
  return tokens.every((token) => {
    const column = columns[columnAt(token, columns)];
    const others = columns.filter((each) => each !== column);
    return others.every(({ from, to }) => token.right <= from + slack || token.x >= to - slack);
  });
}

/** White narrower than this, in heights of the type, may be a blank between two words. */
const BLANK = 0.62;

/**
 * Puts together what narrow white took apart inside one column: a unit behind its figures, the last words of the longest
 * texts, which never stand without the words before them.
 */
export function withoutFragments(
  columns: readonly Column[],
  lines: readonly PaperLine[],
  height: number
): Column[] {
  const merged: Column[] = [];
  const cells = lines.map((line) => {
    const own = columns.map(() => '');
    for (const token of line.tokens) own[columnAt(token, columns)] += ` ${token.text}`;
    return own.map((text) => text.trim());
  });
  columns.forEach((column, at) => {
    const last = merged.at(-1);
    const texts = cells.map((row) => row[at] ?? '');
    const filled = texts.filter((text) => text !== '');
    const white = last ? column.from - last.to : Infinity;
    const isUnit = filled.every((text) => text === filled[0] && /^\p{L}{1,9}\.?$|^["″%]$/u.test(text));
    const leans = cells.every((row) => row[at] === '' || row[at - 1] !== '');
    const follows = cells.every((row) => row[at] === '' || /\d$/.test(row[at - 1] ?? ''));
    const isOne = (isUnit && follows) || (filled.length < 0.5 * lines.length && !isThousands(cells, at));
    const joins = (leans && isOne) || isPrefix(cells, at) || isThousands(cells, at - 1);
    if (last && white < BLANK * height && joins) last.to = column.to;
    else merged.push({ ...column });
  });
  return merged;
}

/**
 * Whether the column before this one holds the same in every cell, which begins what stands in this one: a few capitals
 * before the figures of a code, a word before other words.
 */
function isPrefix(cells: readonly (readonly string[])[], at: number): boolean {
  const before = cells.map((row) => row[at - 1] ?? '').filter((text) => text !== '');
  if (!before.every((text) => text === before[0])) return false;
  if (/^\p{Lu}{1,3}$/u.test(before[0] ?? '')) return cells.some((row) => /^\d/.test(row[at] ?? ''));
  return /^\p{L}{2,}$/u.test(before[0] ?? '') && cells.every((row) => /^\p{L}/u.test(row[at] ?? ''));
}

/** Whether a column holds only the thousands of the figures beside it: `1` before `699 st`. */
function isThousands(cells: readonly (readonly string[])[], at: number): boolean {
  const own = cells.filter((row) => (row[at] ?? '') !== '');
  return (
    own.length > 0 &&
    own.every((row) => /^\d{1,3}$/.test(row[at] ?? '') && /^\d{3}(?!\d)/.test(row[at + 1] ?? ''))
  );
}
