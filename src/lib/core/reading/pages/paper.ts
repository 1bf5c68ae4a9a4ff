/** A run of text on a page: left edge, baseline from the top, width and height of its type, all in one unit. */
export interface PaperWord {
  text: string;
  x: number;
  y: number;
  width: number;
  height: number;
  /** Which of the page’s faces it is set in, where that is known. */
  font?: string;
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

/** One word, or all of a cell where a file tells its cells apart. */
export interface Token {
  text: string;
  x: number;
  right: number;
  /** Height of its type, where it is known. */
  height?: number;
  font?: string;
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
  tokens: Token[];
  cells: Cell[];
  text: string;
}

/** A box on a page, in the unit of its positions. */
export interface Place {
  page: number;
  x: number;
  y: number;
  width: number;
  height: number;
}

/** The box round tokens of lines that stand on one page. */
export function placeOf(
  lines: readonly Pick<PaperLine, 'page' | 'y' | 'height' | 'tokens'>[]
): Place | undefined {
  const [first] = lines;
  const own = lines.filter(({ page, tokens }) => page === first?.page && tokens.length > 0);
  const tokens = own.flatMap((line) => line.tokens);
  if (!first || tokens.length === 0) return undefined;
  const x = Math.min(...tokens.map((token) => token.x));
  const right = Math.max(...tokens.map((token) => token.right));
  const y = Math.min(...own.map((line) => line.y - line.height));
  const bottom = Math.max(...own.map((line) => line.y + line.height * 0.25));
  return { page: first.page, x, y, width: right - x, height: bottom - y };
}

/** A line whose tokens are only some of another’s. */
export function partOf(line: PaperLine, tokens: Token[]): PaperLine {
  return {
    ...line,
    tokens,
    cells: cellsOf(tokens, line.height),
    text: tokens.map(({ text }) => text).join(' ')
  };
}

/** A gap wider than this share of the type’s height sets cells apart; a blank is about a quarter. */
const CELL_GAP = 0.75;

/** Tokens as cells: what stands nearer than a gap belongs together. */
export function cellsOf(tokens: readonly Token[], height: number, gap = CELL_GAP): Cell[] {
  const cells: Cell[] = [];
  for (const { text, x, right } of tokens) {
    const last = cells.at(-1);
    if (last && x - (last.x + last.width) < gap * height) {
      last.text += ` ${text}`;
      last.width = Math.max(last.width, right - last.x);
    } else cells.push({ text, x, width: right - x });
  }
  return cells;
}

/** A line as the maker has written it anew: as many cells stand where the old ones stood, else its words fill its width. */
export function rewritten(line: PaperLine, text: string): PaperLine {
  const texts = text.trim().split(/\t|\s{2,}/);
  const [first] = line.cells;
  const last = line.cells.at(-1);
  if (!first || !last) return { ...line, text };
  const same = texts.length === line.cells.length;
  const each = (last.x + last.width - first.x) / Math.max(1, text.trim().length);
  let from = 0;
  const tokens = texts.flatMap((cell, at) => {
    const old = same ? line.cells[at] : undefined;
    const start = old?.x ?? first.x + text.indexOf(cell, from) * each;
    const width = old ? old.width : cell.length * each;
    from = text.indexOf(cell, from) + cell.length;
    const letter = width / Math.max(1, cell.length);
    return [...cell.matchAll(/\S+/g)].map(({ 0: word, index }): Token => ({
      text: word,
      x: start + index * letter,
      right: start + (index + word.length) * letter
    }));
  });
  return { ...line, text, tokens, cells: cellsOf(tokens, line.height) };
}
