import { median } from '$lib/core/base/units';
import type { PaperLine } from '$lib/core/reading/pages';
import { joined, type SheetStep } from './step';

/** A line of running text, columns of a page one after the other. */
export interface FlowLine {
  line: number;
  text: string;
  /** More white above it than between lines of one paragraph. */
  gap: boolean;
}

interface Part {
  line: number;
  page: number;
  x: number;
  y: number;
  height: number;
  text: string;
}

/** Lines of one paragraph stand no wider than this, in heights of their type. */
const WIDEST = 1.7;
/** White that parts paragraphs, in usual distances of lines. */
const PARAGRAPH = 1.25;

/**
 * The lines of a paper as they are read: pages in columns column by column.
 *
 * @param begins whether a text begins a step, by which columns are told from tables
 */
export function newspaperFlow(lines: readonly PaperLine[], begins: (text: string) => boolean): FlowLine[] {
  const pages = [...new Set(lines.map(({ page }) => page))];
  return pages.flatMap((page) => {
    const own = lines.filter((line) => line.page === page);
    const gutter = gutterOf(own, begins);
    if (gutter === undefined) return withGaps(own.map((line) => partOf(line, line.cells)));
    const side = (isLeft: boolean): Part[] =>
      own.flatMap((line) => {
        const cells = line.cells.filter(({ x }) => x < gutter === isLeft);
        return cells.length > 0 ? [partOf(line, cells)] : [];
      });
    return [...withGaps(side(true)), ...withGaps(side(false))];
  });
}

function partOf({ line, page, y, height }: PaperLine, cells: PaperLine['cells']): Part {
  return { line, page, y, height, x: cells[0]?.x ?? 0, text: cells.map(({ text }) => text).join(' ') };
}

/** Where the second column of a page begins: many lines have a cell there, and long text or steps begin in it. */
function gutterOf(lines: readonly PaperLine[], begins: (text: string) => boolean): number | undefined {
  const lefts = lines.flatMap(({ cells }) => cells.slice(0, 1).map(({ x }) => x));
  const [left, right] = [
    Math.min(...lefts),
    Math.max(...lines.flatMap(({ cells }) => cells.map(({ x, width }) => x + width)))
  ];
  const middle = lines.flatMap(({ cells }) =>
    cells.filter(({ x }) => x > left + 0.3 * (right - left) && x < left + 0.7 * (right - left))
  );
  const starts = middle.map(({ x }) => x);
  const at = starts.find(
    (x) => starts.filter((other) => Math.abs(other - x) < 4).length >= Math.max(4, 0.35 * lines.length)
  );
  if (at === undefined) return undefined;
  const second = middle.filter(({ x }) => Math.abs(x - at) < 4);
  const first = lines.flatMap(({ cells }) => cells.filter(({ x }) => x < at - 4));
  const words = (texts: readonly { text: string }[]): number =>
    median(
      texts.map(({ text }) => text.split(/\s+/).length),
      0
    );
  const crossing = first.filter(({ x, width }) => x + width > at).length;
  const begun = second.filter(({ text }) => begins(text)).length;
  return crossing < 0.2 * lines.length && (begun >= 2 || (words(second) >= 4 && words(first) >= 4))
    ? at - 2
    : undefined;
}

function withGaps(parts: readonly Part[]): FlowLine[] {
  const steps = parts
    .slice(1)
    .map(({ y, page }, at) => (page === parts[at]?.page ? y - (parts[at]?.y ?? y) : 0));
  const usual = Math.min(
    median(
      steps.filter((step) => step > 0),
      1
    ),
    // Where most paragraphs are one line long, the least distance is that of lines, and no line stands wider than this.
    1.3 * Math.min(...steps.filter((step) => step > 0.5), Infinity),
    WIDEST * (parts[0]?.height ?? 1)
  );
  return parts.map(({ line, text, y, page }, at) => {
    const before = parts[at - 1];
    return { line, text, gap: !before || (page === before.page && y - before.y > PARAGRAPH * usual) };
  });
}

/** Text whose lines have a bar behind their number, repeated where a line runs on; undefined where it has none. */
export function barred(lines: readonly PaperLine[]): FlowLine[] | undefined {
  const bars = lines.filter(({ text }) => /^\s*(?:\d{1,3}|[A-Z]?\d{0,2})\s*[|¦│]\s*\S/.test(text));
  if (bars.length < 4 || bars.length < 0.4 * lines.length) return undefined;
  return bars.map(({ line, text }) => {
    const [, number = '', rest = ''] =
      /^\s*(\S*?)\s*[|¦│]\s*(.*?)\s*[|¦│]?\s*$/.exec(text.replace(/\s+/g, ' ')) ?? [];
    return { line, text: number === '' ? rest : `${number}. ${rest}`, gap: false };
  });
}

/**
 * A table with a step a row: numbers alone in its first column, sentences in the others. A row reaches from its number to the
 * next one.
 */
export function numberedTable(lines: readonly PaperLine[]): SheetStep[] | undefined {
  const bars = lines.filter(({ text }) => (text.match(/\|/g) ?? []).length >= 2);
  const isRuled = bars.length >= 4 && bars.length >= 0.5 * lines.length;
  const marked = lines.filter(({ text }) => (isRuled ? /\|.*\|/.test(text) : /^\s*\|.*\|/.test(text)));
  if (marked.length >= 4) return markedTable(marked);
  const isNumber = (text: string): boolean => /^#?[A-Z]?\d{1,3}[.):]?$/.test(text);
  const heads = lines.flatMap((line, at) => {
    const [first, second] = line.cells;
    return first && second && isNumber(first.text)
      ? [{ at, x: first.x, value: Number(first.text.replace(/\D/g, '')) }]
      : [];
  });
  const [one] = heads;
  const column = heads.filter(({ x }) => one && Math.abs(x - one.x) < 14);
  const counted = column.filter(({ value }, at) => at === 0 || value === (column[at - 1]?.value ?? 0) + 1);
  if (counted.length < 3 || counted.length < column.length || (counted[0]?.value ?? 9) > 1) return undefined;
  const starts = columnStarts(counted.map(({ at }) => lines[at]?.cells ?? []));
  const steps = counted.map(({ at }, place): SheetStep => {
    const next = counted[place + 1]?.at ?? lines.length;
    const parts = starts.map((): { text: string; lines: number[] } => ({ text: '', lines: [] }));
    let last: PaperLine | undefined;
    for (const line of lines.slice(at, next)) {
      // Under the last row a gap ends the table.
      if (
        last &&
        place === counted.length - 1 &&
        (line.page !== last.page || line.y - last.y > 2.2 * line.height)
      )
        break;
      last = line;
      const cells = line === lines[at] ? line.cells.slice(1) : line.cells;
      for (const { x, text } of cells) {
        const nearest = starts.findLastIndex((start) => x >= start - 8);
        const part = parts[Math.max(0, nearest)];
        if (!part || /^[-–—]$/.test(text)) continue;
        part.text = joined(part.text, text);
        part.lines.push(line.line);
      }
    }
    return {
      number: lines[at]?.cells[0]?.text ?? null,
      section: null,
      parts: parts.filter(({ text }) => text !== '')
    };
  });
  const sentences = steps.filter(({ parts }) =>
    parts.some(({ text }) => text.split(/\s+/).length >= 3)
  ).length;
  return sentences >= 0.6 * steps.length ? steps : undefined;
}

/** Left edges of the cells behind the numbers, those of all rows together. */
function columnStarts(rows: readonly PaperLine['cells'][]): number[] {
  const starts: number[] = [];
  for (const x of rows.flatMap((cells) => cells.slice(1).map((cell) => cell.x)).sort((a, b) => a - b))
    if (starts.length === 0 || x - (starts.at(-1) ?? 0) > 14) starts.push(x);
  return starts;
}

const OF_MACHINE = /^(?:machine|stop|colou?r)/i;

/** A table marked with bars between its cells: a row whose first cell is empty goes on with the one above. */
function markedTable(lines: readonly PaperLine[]): SheetStep[] | undefined {
  const steps: SheetStep[] = [];
  let heads: string[] = [];
  for (const { line, text } of lines) {
    const cells = text
      .trim()
      .replace(/^\||\|$/g, '')
      .split('|')
      .map((cell) => cell.trim().replace(/<br\s*\/?>/gi, ' '));
    const [first = '', ...rest] = cells;
    if (cells.every((cell) => /^:?-*:?$/.test(cell))) continue;
    if (/^[*_]*(?:step\s*)?[A-Z]?\d{1,3}[.)]?[*_]*$/i.test(first))
      steps.push({
        number: first.replace(/[*_]/g, ''),
        section: null,
        parts: rest.flatMap((cell, at) => {
          // Rows may be counted by the stops themselves.
          if (at === 0 && OF_MACHINE.test(heads[0] ?? '') && !/^0+$/.test(first))
            return [{ text: `Stop ${first}: ${cell}`, lines: [line] }];
          if (cell === '' || /^[-–—]$/.test(cell)) return [];
          // What the machine does is numbered without a word.
          const isStop = OF_MACHINE.test(heads[at + 1] ?? '') && /^\d+\b/.test(cell);
          return [{ text: isStop ? `Stop ${cell}` : cell, lines: [line] }];
        })
      });
    else if (steps.length === 0) heads = cells;
    else if (first === '' && /^\p{Lu}/u.test(rest.join(''))) {
      const text = rest.join(' ').trim();
      steps.at(-1)?.parts.push({ text, lines: [line] });
    } else if (first === '' && rest.length > 0) {
      const last = steps.at(-1)?.parts.at(-1);
      if (last) {
        last.text = joined(last.text, rest.join(' ').trim());
        last.lines.push(line);
      }
    }
  }
  return steps.length >= 3 ? steps : undefined;
}
